export { NoListOpen as default } from '@/places/lists';
