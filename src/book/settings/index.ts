/**
 * Settings, and how they are changed and undone.
 */
export { changeSettingsUndoably } from './changeSettingsUndoably';
export { noteAct, noteOwnAddress, noteStepOver, rememberColumns } from './remember';
export { type NextStep, type NextStepId, useNextSteps } from './useNextSteps';
