/**
 * Simulated devices that ship with the hub; they speak CardDAV with it as real ones do.
 */
export { addHeld, duplicateHeld, editHeld, removeHeld } from './editHeld';
export { everyMinutesOf, isStandInKind, STAND_INS } from './kinds';
export { setEvery } from './setEvery';
export type { StandInKind, StandInState } from './standIn';
export {
  addStandIn,
  dropOrphans,
  findStandIn,
  findStandInHead,
  keepStandIn,
  resetStandIn,
} from './standInStore';
export { visitNow } from './visitNow';
