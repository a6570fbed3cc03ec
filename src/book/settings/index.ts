/**
 * Settings, and how they are changed and undone.
 */
export { changeSettingsUndoably } from './changeSettingsUndoably';
export { noteAct } from './noteAct';
export { noteOwnAddress } from './noteOwnAddress';
export { rememberColumns } from './rememberColumns';
