import { createSelector, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';

import { type NameStyle, type RowStyle, SECOND_PARTS } from '@/core/card';
import { texts } from '@/texts/book/state';

/** The layout of the Book's table: columns, widths, sorting, and whose rows. */
export const tableLookSchema = z.object({
  /** Ids of columns, from the left. */
  columns: z.array(z.string()).min(1),
  /** In pixels, of the columns whose width was changed. */
  widths: z.record(z.string(), z.number()),
  /** By which columns, the first deciding; none for the order of the Book. */
  sorting: z.array(z.object({ id: z.string(), desc: z.boolean() })),
  /** 'all', 'people', 'organisations' or the uid of a list. */
  who: z.string(),
});

/** A layout of the table. */
export type TableLook = z.infer<typeof tableLookSchema>;

/** The default layout of the table. */
export const defaultTable: TableLook = {
  columns: ['name', 'organisation', 'post', 'number', 'mail', 'town', 'tags'],
  widths: {},
  sorting: [],
  who: 'all',
};

/** The parts of Today, in their usual order. */
export const TODAY_PARTS = [
  ...(['almanac', 'greetings', 'meetings', 'followUps', 'late', 'due', 'news', 'quiet', 'pinned'] as const),
] as const;
/** A part of Today. */
export type TodayPart = (typeof TODAY_PARTS)[number];

/** The settings; each missing or damaged value falls back to its default. */
export const settingsSchema = z.object({
  sortBy: z
    .enum(['surname', 'given', 'organisation', 'place', 'added', 'talk', 'closeness'])
    .catch('surname'),
  /** Whether "van Dijk" stands under v. */
  particlesCount: z.boolean().catch(false),
  nameOrder: z.enum(['written', 'givenFirst', 'surnameFirst']).catch('written'),
  nameLength: z.enum(['full', 'plain', 'initial']).catch('full'),
  /** What stands under a name, in this order. */
  secondLine: z.array(z.enum(SECOND_PARTS)).catch(['post', 'organisation', 'place']),
  /** ISO 3166-1 alpha-2, for numbers written without a country code. */
  country: z.string().length(2).catch('GB'),
  scheme: z.enum(['system', 'light', 'dark']).catch('system'),
  /** Of tables that were read: what their columns say, by the hash of their headings; the latest last. */
  tableColumns: z.record(z.string(), z.array(z.string())).catch({}),
  /** The parts of a card that are offered at once when one is written, in order; none for the usual ones. */
  cardLayout: z.array(z.string()).catch([]),
  table: tableLookSchema.catch(defaultTable),
  /** Saved views, by name. */
  tableViews: z.array(z.object({ name: z.string(), look: tableLookSchema })).catch([]),
  /** Acts offered for what the quick line has found, in order. */
  quickActs: z
    .array(z.enum(['call', 'write', 'message', 'talk', 'edit', 'way', 'copy', 'pin']))
    .catch(['call', 'write', 'message', 'edit']),
  /** Recent acts from the quick line, the latest first. */
  recentActs: z.array(z.object({ uid: z.string(), verb: z.string() })).catch([]),
  /** Where 29 February is kept in a year without one. */
  leapDay: z.enum(['february-28', 'march-1']).catch('february-28'),
  /** Gone quiet: how many Today names at most. */
  quietCount: z.number().int().min(0).max(12).catch(4),
  /** The parts of Today that are shown, in order. */
  todayParts: z.array(z.enum(TODAY_PARTS)).catch([...TODAY_PARTS]),
  /** Days after today that the almanac shows. */
  almanacDays: z.number().int().min(7).max(400).catch(28),
  /** Whose days Today and the almanac show: the uid of a list; '' for everybody. */
  daysOf: z.string().catch(''),
  /** Whether the browser shows a daily notification. */
  notifies: z.boolean().catch(false),
  /** The day of the last notification. */
  notifiedOn: z.string().catch(''),
  /** Texts to begin a message with, beside those that ship. */
  templates: z.array(z.object({ name: z.string().min(1), subject: z.string(), body: z.string() })).catch([]),
  /** What stands on an envelope as its sender, line by line. */
  sender: z.string().catch(''),
  /** The sheet of labels that was used last, in millimetres (core/letters); none for the first that is offered. */
  labelSheet: z.record(z.string(), z.number()).catch({}),
  /** The number of people from which Bcc is offered. */
  bccFrom: z.number().int().min(2).max(1000).catch(12),
  /** Of people with several addresses the one that was written to last, by uid. */
  usedAddresses: z.record(z.string(), z.string()).catch({}),
  /** Addresses that are the user's own, in lower case. */
  ownAddresses: z.array(z.string()).catch([]),
  /** How many years steps of the history are kept; 0 for as long as there is room. */
  historyYears: z.number().int().min(0).max(50).catch(2),
  /** What they may take together, in megabytes. */
  historyMegabytes: z.number().int().min(1).max(100_000).catch(200),
  /** The colours of tags, by the tag in lower case: a place among the theme's ten tones. */
  tagTones: z.record(z.string(), z.number().int().min(0).max(9)).catch({}),
  /** The name of the calendar on the hub; '' where there is none. */
  calendarToken: z.string().catch(''),
  /** UTCDateTime of the last backup; '' for none. */
  lastBackupAt: z.string().catch(''),
  /** UTCDateTime at which the user was last reminded of making one. */
  backupRemindedAt: z.string().catch(''),
  /** 1 is the size as designed. */
  typeScale: z.number().min(0.85).max(1.6).catch(1),
  /** Of what is worth doing next: what has been done or is of no use here, and whether the demo was explained. */
  stepsOver: z.array(z.string()).catch([]),
  /** Whether keys without Ctrl or Cmd do anything outside fields. */
  singleKeys: z.boolean().catch(true),
});

/** The user's settings. */
export type Settings = z.infer<typeof settingsSchema>;

/** The orders of the Book, with our words for them. */
export const SORT_ORDERS: readonly (readonly [Settings['sortBy'], string])[] = [
  ['surname', texts.surnameThenGivenName],
  ['given', texts.givenNameThenSurname],
  ['organisation', texts.organisation],
  ['place', texts.place],
  ['added', texts.dateAddedLatestFirst],
  ['talk', texts.lastTalkLatestFirst],
  ['closeness', texts.closenessClosestFirst],
];

/** What the user has set of how rows are put in order and what they say. */
export function rowStyleOf(settings: Settings): RowStyle {
  const { sortBy, particlesCount, nameOrder, nameLength, secondLine } = settings;
  // Orders that talks decide are laid over the one by name, as they change with every talk and every day.
  const by = sortBy === 'talk' || sortBy === 'closeness' ? 'surname' : sortBy;
  return { by, particlesCount, name: { order: nameOrder, length: nameLength }, second: secondLine };
}

/** The default settings. */
export const defaultSettings: Settings = settingsSchema.parse({});

/** What the user has set. */
export const settingsSlice = createSlice({
  name: 'settings',
  initialState: defaultSettings,
  reducers: {
    settingsArrived: (_, { payload }: PayloadAction<Settings>) => payload,
  },
  selectors: { selectSettings: (state) => state },
});

export const { settingsArrived } = settingsSlice.actions;
export const { selectSettings } = settingsSlice.selectors;

/** The name style. */
export const selectNameStyle = createSelector(
  [(root: WithSettings) => root.settings.nameOrder, (root: WithSettings) => root.settings.nameLength],
  (order, length): NameStyle => ({ order, length }),
);

interface WithSettings {
  readonly settings: Settings;
}
