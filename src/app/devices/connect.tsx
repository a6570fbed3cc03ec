export { ConnectPage as default } from '@/places/sync';
