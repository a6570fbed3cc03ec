export { NoCardOpen as default } from '@/places/find';
