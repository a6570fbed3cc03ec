export { MapPage as default } from '@/places/find';
