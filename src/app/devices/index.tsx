export { DevicesHome as default } from '@/places/devices/DevicesHome';
