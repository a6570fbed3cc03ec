export { DevicesHome as default } from '@/places/sync';
