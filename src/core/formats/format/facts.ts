import { texts } from '@/texts/formats/format';

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
    keeps: texts.keepsEverythingForPhones,
  },
  vcard3: {
    id: 'vcard3',
    label: 'vCard 3.0',
    mediaType: 'text/vcard;charset=utf-8',
    extension: 'vcf',
    isLossless: true,
    keeps: texts.keepsEverythingForOlder,
  },
  jscontact: {
    id: 'jscontact',
    label: texts.jscontact,
    mediaType: 'application/jscontact+json',
    extension: 'json',
    isLossless: true,
    keeps: texts.keepsEverythingAsBook,
  },
  jcard: {
    id: 'jcard',
    label: 'jCard',
    mediaType: 'application/vcard+json',
    extension: 'jcard',
    isLossless: true,
    keeps: texts.keepsEverythingVcardForPrograms,
  },
  csv: {
    id: 'csv',
    label: texts.tableCsv,
    mediaType: 'text/csv;charset=utf-8',
    extension: 'csv',
    isLossless: false,
    keeps: texts.keepsWhatFitsInCells,
  },
  ics: {
    id: 'ics',
    label: texts.calendarOfDays,
    mediaType: 'text/calendar;charset=utf-8',
    extension: 'ics',
    isLossless: false,
    keeps: texts.onlyBirthdaysAndOther,
  },
} as const satisfies Record<string, FormatFacts>;

/** The id of a format. */
export type FormatId = keyof typeof FORMAT_FACTS;

/** Whether a word from outside is the id of a format. */
export function isFormatId(word: string | undefined): word is FormatId {
  return word !== undefined && Object.hasOwn(FORMAT_FACTS, word);
}
