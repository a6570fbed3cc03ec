/**
 * Settings, backup and export.
 */
export { OwnAddresses } from './OwnAddresses';
export { SettingsPage } from './SettingsPage';
