/**
 * Settings, and how they are changed and undone.
 */
export { noteAct } from './noteAct';
export { noteOwnAddress } from './noteOwnAddress';
export { rememberColumns } from './rememberColumns';
export { setInSteps } from './setInSteps';
