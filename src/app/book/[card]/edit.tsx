export { EditPage as default } from '@/places/card/edit/EditPage';
