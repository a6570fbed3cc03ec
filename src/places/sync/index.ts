/**
 * Devices: passports, values to settle, the log, the simulated devices.
 */
export { ConnectPage } from './ConnectPage';
export { DevicesHome } from './DevicesHome';
export { DevicesPlace } from './lazy';
export { LogPage } from './LogPage';
export { PassportPage } from './PassportPage';
export { ServerPage } from './ServerPage';
export { SettlePage } from './SettlePage';
export { StandInPage } from './try/StandInPage';
