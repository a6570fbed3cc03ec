/**
 * Settings, backup and export.
 */
export { ChangesPage } from './ChangesPage';
export { NextSteps } from './NextSteps';
export { OwnAddresses } from './OwnAddresses';
export { SettingsPage } from './SettingsPage';
