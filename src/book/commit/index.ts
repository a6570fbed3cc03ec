/**
 * Commit: the one way to change the book. Notes the change in the history, shows it, has it written, offers to undo it.
 */
export { storeNews } from './applySide';
export { changeBook, changeSides, commit, isOnlyStamped, newStep } from './changeBook';
export { changeMany, type ManyChangeRequest } from './changeMany';
export { applySettings, changeSettings } from './changeSettings';
export { inTurn, parseShard, putNow, readAllTalks, readShards, readSummaries } from './changeTalks';
export { storeTalks } from './importedTalks';
export type { BatchOptions, LongPiece } from './longChange';
export { noteStep } from './noteStep';
export { readStep, readSteps } from './readSteps';
export { goOnReplaying, redo, undo } from './replay';
export {
  changeInBatches,
  changeLong,
  convertOldHistory,
  discardSetAside,
  findUnfinished,
  finishLong,
  keepAsItIs,
  keepUp,
  pruneHistory,
  readHistory,
  readSetAside,
  rebuildSummaries,
} from './whenNeeded';
