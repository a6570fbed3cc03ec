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
  change: 'change:',
  aside: 'aside:',
  /** What the last import did. */
  importReport: 'importReport',
} as const;
