export { SettingsPage as default } from '@/places/settings';
