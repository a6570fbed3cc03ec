export { ImportPage as default } from '@/places/intake/ImportPage';
