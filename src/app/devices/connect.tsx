export { ConnectPage as default } from '@/places/devices/ConnectPage';
