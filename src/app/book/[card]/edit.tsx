export { EditPage as default } from '@/places/card/lazy';
