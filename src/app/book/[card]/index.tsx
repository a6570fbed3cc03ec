export { CardPage as default } from '@/places/card/lazy';
