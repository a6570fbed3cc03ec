export { CardPage as default } from '@/places/card/CardPage';
