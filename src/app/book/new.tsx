export { NewCardPage as default } from '@/places/card/edit/EditPage';
