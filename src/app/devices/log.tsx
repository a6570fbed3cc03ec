export { LogPage as default } from '@/places/devices/LogPage';
