/** The shape of what is stored; a higher number than this comes from a newer version of the program. */
export const SCHEMA_VERSION = 1;

/** Keys of the store. One key a card, a photo, a change, so that only what changed is written. */
export const KEYS = {
  schema: 'schema',
  settings: 'settings',
  rows: 'rows',
  card: 'card:',
  photo: 'photo:',
  /** A photo as small as rows show it. */
  thumb: 'thumb:',
  /** A step of the history, without what it did. */
  step: 'step:',
  /** What a step did, in pieces. */
  piece: 'piece:',
  /** The files that a piece needs, where it needs any. */
  pieceFiles: 'piecefiles:',
  /** What a long change has still to do, in pieces. */
  todo: 'todo:',
  /** A step as it was kept before it had pieces. */
  oldChange: 'change:',
  /** Whether the browser has been asked to keep the storage. */
  persistAsked: 'persistAsked',
  /** When the store was last looked through. */
  upkeep: 'upkeep',
  /** The talks of a month: talks:2026-11. */
  talks: 'talks:',
  /** The summary of all talks with a card. */
  summary: 'talksum:',
  /** An address that was written to and has no card. */
  unfiled: 'unfiled:',
  /** A card with unpushed changes. */
  queue: 'queue:',
  /** Unpushed talks of a month. */
  talkQueue: 'talkqueue:',
  /** The last message of the hub's mailbox that stands among the talks. */
  mailTaken: 'mailTaken',
  /** The settings as the hub knows them. */
  pushedSettings: 'toldSettings',
  /** How this browser is paired with the hub. */
  hub: 'hub',
  /** Who is signed in to the common directory here. */
  directory: 'directory',
  /** A value that somebody's card doesn't have yet. */
  news: 'news:',
  /** What somebody had published when it was last looked for. */
  posts: 'posts:',
  aside: 'aside:',
  /** A text that a card is being read out of. */
  textToRead: 'textToRead',
  /** Tidy's daily record of the book. */
  tidyLog: 'tidyLog',
  /** A message that is being written. */
  draft: 'draft',
  /** A saved draft. */
  aDraft: 'draft:',
  /** What the last import did. */
  importReport: 'importReport',
} as const;

/** The keys that begin with a prefix. */
export function keysUnder(keys: readonly string[], prefix: string): string[] {
  return keys.filter((key) => key.startsWith(prefix));
}

/** What those keys name: what stands after the prefix. */
export function namesUnder(keys: readonly string[], prefix: string): string[] {
  return keysUnder(keys, prefix).map((key) => key.slice(prefix.length));
}
