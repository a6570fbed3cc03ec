/**
 * Commit: the one way to change the book. Notes the change in the history, shows it, has it written, offers to undo it.
 */
export { keepNews } from './applySide';
export { changeBook, changeSides, isOnlyStamped, newChange, redo, undo } from './changeBook';
export { changeInPieces, type PiecesOptions } from './changeInPieces';
export { changeMany, type ManyWish } from './changeMany';
export { changeSettings, showSettings } from './changeSettings';
export { inTurn, parseShard, putNow, readAllTalks, readShards, readSummaries } from './changeTalks';
export { storeTalks } from './intake';
