export { ServerPage as default } from '@/places/sync';
