export { SettlePage as default } from '@/places/devices/SettlePage';
