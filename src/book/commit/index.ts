/**
 * Commit: the one way to change the book. Notes the change in the history, shows it, has it written, offers to undo it.
 */
export { storeNews } from './applySide';
export { changeBook, changeSides, commit, isOnlyStamped, newStep } from './changeBook';
export { changeMany, type ManyChangeRequest } from './changeMany';
export { applySettings, changeSettings } from './changeSettings';
export { inTurn, parseShard, putNow, readAllTalks, readShards, readSummaries } from './changeTalks';
export { findUnfinished } from './findUnfinished';
export { storeTalks } from './importedTalks';
export {
  type BatchOptions,
  changeInBatches,
  changeLong,
  discardLong,
  finishLong,
  type LongPiece,
} from './longChange';
export { filesIn, noteStep, pieceKey } from './noteStep';
export { convertOldHistory } from './oldHistory';
export { readStep, readSteps } from './readSteps';
export { goOnReplaying, redo, undo } from './replay';
export {
  type HistorySize,
  keepUp,
  pruneHistory,
  readHistory,
  rebuildSummaries,
  sizeOfHistory,
} from './upkeep';
