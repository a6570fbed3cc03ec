/**
 * Commit: the one way to change the book. Notes the change in the history, shows it, has it written, offers to undo it.
 */
export { storeNews } from './applySide';
export { changeBook, changeSides, commit, isOnlyStamped, newChange, redo, replay, undo } from './changeBook';
export { type BatchOptions, changeInBatches } from './changeInBatches';
export { changeMany, type ManyChangeRequest } from './changeMany';
export { applySettings, changeSettings } from './changeSettings';
export { inTurn, parseShard, putNow, readAllTalks, readShards, readSummaries } from './changeTalks';
export { storeTalks } from './importedTalks';
