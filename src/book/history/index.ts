/**
 * The history: each step as data that can be undone and redone.
 * Left out: the state that holds the latest of them (book/state).
 */
export { added, type CardEdit, changed, edited, editsTo, removed } from './cardEdit';
export {
  type BeforeAfter,
  type CardChange,
  type Cause,
  type SettingEdit,
  type SideChange,
  type StoredNews,
  type TalkChange,
  toCardChanges,
} from './change';
export { replayCards, replayTalkChanges, type TalkReplay } from './replay';
export { outlivedSteps, type Retention } from './retention';
export { type HistorySize, sizeOfHistory } from './sizeOfHistory';
export { grown, parsePiece, parseStep, replayed, type Step, type StepPiece } from './step';
