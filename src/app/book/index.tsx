export { NoCardOpen as default } from '@/places/book/NoCardOpen';
