export { ImportPage as default } from '@/places/formats';
