export { ChangesPage as default } from '@/places/settings';
