/** What can be said of a format without its code, which is large: pages list formats, workers read and write them. */
export interface FormatFacts {
  readonly id: string;
  /** For people: "vCard 4.0". */
  readonly label: string;
  readonly mediaType: string;
  readonly extension: string;
  /** Whether any card comes back from it just as it was. */
  readonly isLossless: boolean;
  /** What it keeps and what it is for, in a sentence. */
  readonly keeps: string;
}

/** Every format that is written, by id. */
export const FORMAT_FACTS = {
  vcard4: {
    id: 'vcard4',
    label: 'vCard 4.0',
    mediaType: 'text/vcard;charset=utf-8',
    extension: 'vcf',
    isLossless: true,
    keeps: 'Keeps everything; for phones and mail programs.',
  },
  vcard3: {
    id: 'vcard3',
    label: 'vCard 3.0',
    mediaType: 'text/vcard;charset=utf-8',
    extension: 'vcf',
    isLossless: true,
    keeps: 'Keeps everything; for older programs.',
  },
  jscontact: {
    id: 'jscontact',
    label: 'JSContact',
    mediaType: 'application/jscontact+json',
    extension: 'json',
    isLossless: true,
    keeps: 'Keeps everything, as the book itself has it.',
  },
  jcard: {
    id: 'jcard',
    label: 'jCard',
    mediaType: 'application/vcard+json',
    extension: 'jcard',
    isLossless: true,
    keeps: 'Keeps everything; vCard for programs that read JSON.',
  },
  csv: {
    id: 'csv',
    label: 'Table (CSV)',
    mediaType: 'text/csv;charset=utf-8',
    extension: 'csv',
    isLossless: false,
    keeps:
      'Keeps what fits in cells, in columns you choose; no photos, no related cards, no members of lists.',
  },
  ics: {
    id: 'ics',
    label: 'Calendar of days',
    mediaType: 'text/calendar;charset=utf-8',
    extension: 'ics',
    isLossless: false,
    keeps: 'Only birthdays and other yearly days, for a calendar program.',
  },
} as const satisfies Record<string, FormatFacts>;

/** The id of a format. */
export type FormatId = keyof typeof FORMAT_FACTS;
