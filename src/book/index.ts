/**
 * The book as a program holds it: state, history, store, workers.
 * Standard: cards are JSContact objects (RFC 9553); what the state does with them is ours.
 * Left out: anything that draws.
 */
export type { AppStore } from './appStore';
export { changeBook, redo, undo, type Wish } from './changeBook';
export { type PiecesOptions } from './changeInPieces';
export { selectCardsByUid } from './cards/cardsSlice';
export { changeMany, type ManyWish } from './changeMany';
export {
  choiceAdded,
  choiceMade,
  choiceToggled,
  choosingBegan,
  choosingEnded,
  selectAnchor,
  selectChosenCards,
  selectIsChoosing,
  selectIsPicked,
} from './choosing/choosingSlice';
export {
  type FileContents,
  findHeadingsInWorker,
  type Job,
  readFileInWorker,
  unpackFileInWorker,
} from './clients/filesClient';
export * from './hooks';
export { backUpBook, noteBackup, openBackup, restoreBackup, type RestoreOptions } from './intake/backup';
export { exportBook, exportCards, findBookHeadings } from './intake/exportBook';
export { importCards, previewImport } from './intake/importCards';
export { type ImportReport, keepImportReport, readImportReport } from './intake/importReport';
export type { DeviceWish, HeldEdit, StandInKind } from './hub/hubClient';
export { pairDemo, pairWithHub, unpairFromHub } from './hub/pairing';
export { canKeepBoth, type Choice, settleValue } from './hub/settleValue';
export { type HubAnswer, useHub, useHubAct, useHubAnswer } from './hub/useHub';
export { acceptOneNews, dismissNews } from './news/changeNews';
export { useOpenNews } from './news/useOpenNews';
export { useNewsOf } from './history/useNewsOf';
export { useZoneOf } from './places/useZoneOf';
export { guessOwnInWorker } from './clients/mailClient';
export { type TalksTaken, takeInTalks } from './intake/takeInTalks';
export { ignoreUnfiled, takeInUnfiled } from './unfiled/changeUnfiled';
export { type UnfiledNow, useUnfiled } from './unfiled/useUnfiled';
export { parseJson } from './store/parseJson';
export type { Services } from './services';
export { keepApart, mergeInBook, unmerge } from './merging/mergeInBook';
export { lookForDuplicates, stopLooking } from './merging/lookForDuplicates';
export { useMergedInto } from './merging/useMergedInto';
export { useDuplicates } from './merging/useDuplicates';
export { addLifted, addLiftedTo } from './lift/takeLifted';
export { keepTextToRead, keptTextToRead } from './lift/textToRead';
export type { LiftedNow } from './clients/twinsClient';
export { useLift } from './lift/useLift';
export { leaveFaults, mendFaults } from './merging/mendFaults';
export { type TidyState, useTidyLog } from './merging/tidyLog';
export { useFaults } from './merging/useFaults';
export { useTwinsOf } from './merging/useTwinsOf';
export { sendMeeting } from './intake/sendMeeting';
export { sendCards } from './intake/sendCards';
export { useListCounts, useListName, useListsOf, useMatching, useOnList } from './lists/useOnList';
export { foundBy, useFoundByName } from './lists/useFoundByName';
export { selectLists } from './lists/selectLists';
export {
  type DirectorySession,
  directorySessionSchema,
  keepDirectorySession,
  readDirectorySession,
} from './directory/directorySession';
export { lookInDirectory } from './directory/lookInDirectory';
export { type FoundInDirectory, useFoundInDirectory } from './directory/useFoundInDirectory';
export { bundleInBook, takeOutOfBundle } from './bundles/changeBundle';
export { selectLeads } from './bundles/selectLeads';
export { useBundle } from './bundles/useBundle';
export { selectTags, type TagCount } from './marks/selectTags';
export { usePointOf, useWhereabouts } from './places/useWhereabouts';
export { selectOrganisations } from './organisations/selectOrganisations';
export {
  type BookItem,
  type LetterShare,
  type RowFilter,
  selectBookList,
  selectCounts,
  selectOrder,
  selectPinnedRows,
  selectRow,
  selectRowsByUid,
} from './rows/rowsSlice';
export { publishCalendar } from './intake/publishCalendar';
export { changeSettings } from './settings/changeSettings';
export { noteOwnAddress } from './settings/noteOwnAddress';
export { type PostsRead, readPosts } from './posts/readPosts';
export { setInSteps } from './settings/setInSteps';
export { noteAct } from './settings/noteAct';
export { rememberColumns } from './settings/rememberColumns';
export {
  selectNameStyle,
  selectSettings,
  type Settings,
  SORT_ORDERS,
  type TableLook,
  TODAY_PARTS,
  type TodayPart,
  usualTable,
} from './settings/settingsSlice';
export { type Book, getBook } from './startBook';
export {
  noticeClosed,
  noticed,
  selectIsOpen,
  selectNotice,
  selectOpenFault,
  selectReading,
  selectSaving,
  selectSetAside,
} from './status/statusSlice';
export {
  type ListBalance,
  type TalksOf,
  useCloseness,
  useListRhythms,
  useRhythmBalances,
  useTalkOrder,
  useTalksInMonths,
  useTalksWith,
  useToday,
} from './talks/hooks';
export { type TalkBar, useTalkBars } from './talks/useTalkBars';
export { selectSummaries } from './talks/talksSlice';
export type { TalkChange } from './history/change';
export {
  cardsTo,
  dropDraft,
  emptyDraft,
  type LaidDraft,
  layAside,
  type MailDraft,
  type PlaceOf,
  PLACES_OF,
  readDrafts,
  writeTo,
} from './write/draft';
export { noteUsed } from './write/noteUsed';
export { noteSent, type SentMail } from './write/noteSent';
export { type MailDraftNow, useMailDraft } from './write/useMailDraft';
