export { LogPage as default } from '@/places/sync';
