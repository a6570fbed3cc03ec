/**
 * Web workers: search, duplicates, files and mail. Each entry point is bundled on its own; nothing imports its code, only its
 * types.
 */
export type { DuplicatesApi } from './duplicates';
export type { BackupSource, FileReport, FilesApi, Progress, WriteChoices } from './files';
export type { MailApi, MailProgress, MailReport, MatchOptions, TalkSink } from './mail';
export type { ExtractRequest, ExtractResult, FilePair, InspectorApi, Signed } from './makeInspector';
export type { PictureApi, PictureProgress, PictureText, PictureWish } from './picture';
export type { LineHelp, SearchApi, WhereCards } from './search';
