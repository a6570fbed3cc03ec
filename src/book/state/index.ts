/**
 * The state of one page: a slice for each noun, selectors, the hooks that read it, and the services that thunks reach the
 * outside by. It knows none of the domains.
 */
export {
  bookChanged,
  cardsArrived,
  type CardsChanged,
  cardsChanged,
  type CardsNow,
  type ChangedCard,
  rowsRestored,
  stepsArrived,
  stepsGone,
  unfinishedFound,
} from './actions';
export { type AppStore, type AppThunk, makeAppStore, type RootState } from './appStore';
export { selectCardsByUid } from './cardsSlice';
export {
  choiceAdded,
  choiceMade,
  choiceToggled,
  choosingBegan,
  choosingEnded,
  exportAsked,
  selectAnchor,
  selectChosenCards,
  selectExportAs,
  selectIsChoosing,
  selectIsPicked,
} from './choosingSlice';
export {
  arrivalsChecked,
  duplicatesFound,
  type DuplicatesState,
  searchProgressed,
  selectDuplicates,
} from './duplicatesSlice';
export { selectRedoable, selectStep, selectSteps, selectUndoable, selectUnfinished } from './historySlice';
export {
  ServicesProvider,
  useAppDispatch,
  useAppSelector,
  useCard,
  useCardGetter,
  usePhoto,
  useServices,
  useWhenRead,
} from './hooks';
export {
  exchangeFinished,
  type Pairing,
  pairingChanged,
  pairingSchema,
  roundEnded,
  selectHub,
} from './hubSlice';
export { newsArrived, newsChanged, selectNewsById } from './newsSlice';
export {
  type BookItem,
  type LetterShare,
  type RowFilter,
  rowsReordered,
  selectBookList,
  selectCardsInOrder,
  selectCounts,
  selectOrder,
  selectPinnedRows,
  selectRow,
  selectRowsByUid,
} from './rowsSlice';
export { selectLeads } from './selectLeads';
export { selectLists } from './selectLists';
export type { Services } from './services';
export { diffSettings, editedSettings } from './settingsEdits';
export {
  defaultSettings,
  defaultTable,
  rowStyleOf,
  selectNameStyle,
  selectSettings,
  type Settings,
  settingsArrived,
  settingsSchema,
  SORT_ORDERS,
  type TableLook,
  TODAY_PARTS,
  type TodayPart,
} from './settingsSlice';
export {
  bookOpened,
  noticeClosed,
  noticeShown,
  openFailed,
  readingChanged,
  recordsSetAside,
  savingChanged,
  selectIsOpen,
  selectNotice,
  selectOpenFault,
  selectReading,
  selectSaving,
  selectSetAside,
  setAsideDiscarded,
} from './statusSlice';
export { selectShards, selectSummaries, shardsArrived, summariesArrived, talksChanged } from './talksSlice';
export { selectUnfiledByAddress, unfiledArrived, unfiledChanged } from './unfiledSlice';
export { useAnswer } from './useAnswer';
