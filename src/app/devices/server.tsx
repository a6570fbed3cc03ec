export { ServerPage as default } from '@/places/devices/ServerPage';
