export { DirectoryPage as default } from '@/places/directory';
