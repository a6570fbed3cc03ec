export { SettlePage as default } from '@/places/sync';
