/**
 * Settings, backup and export.
 */
export { ChangesPage } from './ChangesPage';
export { OwnAddresses } from './OwnAddresses';
export { SettingsPage } from './SettingsPage';
