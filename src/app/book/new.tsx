export { NewCardPage as default } from '@/places/card/lazy';
