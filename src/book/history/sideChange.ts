import type { StoredNews } from '../news/newsSlice';
import type { SettingEdit } from '../settings/settingsEdits';

/** What changed beside cards and talks, and is taken back with its step: settings, or whether news is offered. */
export type SideChange =
  | { readonly kind: 'settings'; readonly edits: readonly SettingEdit[] }
  | { readonly kind: 'news'; readonly before: StoredNews; readonly after: StoredNews };
