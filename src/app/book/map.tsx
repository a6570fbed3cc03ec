export { MapPage as default } from '@/places/map/MapPage';
