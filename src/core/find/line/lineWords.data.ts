// Words of the line in English. Ordinary speech; written from memory.
import type { LineAct } from './reading';

/** An act by its words, at the beginning or the end of a line. */
export interface ActWords {
  readonly act: LineAct;
  readonly first: readonly string[];
  readonly last?: readonly string[];
  /** Part of the words of what is done: "print labels for". */
  readonly what?: string;
  /** Shown in the help, and tried. */
  readonly example: string;
}

/** What can be done, and how it is said; longer words are tried first. */
export const ACTS: readonly ActWords[] = [
  {
    act: 'call',
    first: ['call', 'ring', 'phone', 'dial', 'call up', 'ring up'],
    last: ['call', 'ring', 'dial'],
    example: 'call ada',
  },
  {
    act: 'write',
    first: [
      'write to',
      'write',
      'mail to',
      'mail',
      'email',
      'email to',
      'write a mail to',
      'send a mail to',
      'write a letter to',
    ],
    last: ['write', 'a mail'],
    example: 'write to patrons',
  },
  {
    act: 'message',
    first: ['message', 'message to', 'text', 'text to', 'sms', 'sms to', 'send a message to'],
    last: ['message', 'text', 'sms', 'a message'],
    example: 'message ada',
  },
  {
    act: 'way',
    first: [
      'way to',
      'the way to',
      'show the way to',
      'show me the way to',
      'directions to',
      'route to',
      'how do i get to',
      'navigate to',
      'drive to',
      'way',
    ],
    last: ['way', 'directions', 'way there'],
    example: 'way to ada',
  },
  { act: 'edit', first: ['edit', 'change', 'correct'], last: ['edit', 'change'], example: 'edit ada' },
  {
    act: 'open',
    first: ['open', 'go to', 'show the card of', 'open the card of'],
    last: ['open'],
    example: 'open ada',
  },
  { act: 'unpin', first: ['unpin'], last: ['unpin'], example: 'unpin ada' },
  { act: 'pin', first: ['pin'], last: ['pin', 'to the top'], example: 'pin ada' },
  {
    act: 'restore',
    first: ['unarchive', 'bring back', 'restore'],
    last: ['unarchive', 'back'],
    example: 'bring ada back',
  },
  { act: 'archive', first: ['archive', 'put away'], last: ['archive', 'away'], example: 'archive ada' },
  { act: 'private', first: ['make private', 'keep private'], last: ['private'], example: 'make ada private' },
  { act: 'public', first: ['make public', 'not private'], last: ['public'], example: 'make ada public' },
  { act: 'merge', first: ['merge', 'unite', 'join'], last: ['merge'], example: 'merge ada and götz' },
  {
    act: 'print',
    what: 'labels',
    first: ['print labels for', 'labels for', 'print labels of', 'address labels for'],
    last: ['labels'],
    example: 'print labels for patrons',
  },
  {
    act: 'print',
    what: 'envelopes',
    first: ['print envelopes for', 'envelopes for'],
    last: ['envelopes'],
    example: 'print envelopes for patrons',
  },
  { act: 'print', first: ['print'], last: ['print'], example: 'print patrons' },
  {
    act: 'export',
    first: [
      'export the birthdays of',
      'export the cards of',
      'export the card of',
      'export',
      'save as a file',
      'save',
      'download',
    ],
    last: ['export'],
    example: 'export patrons',
  },
];

/** Formats of files by what they are called behind "as". */
export const FILE_WORDS: Readonly<Record<string, string>> = {
  ...{ vcard: 'vcard4', vcards: 'vcard4', vcf: 'vcard4', 'vcard 4': 'vcard4', 'vcard 4.0': 'vcard4' },
  ...{ 'vcard 3': 'vcard3', 'vcard 3.0': 'vcard3' },
  ...{ csv: 'csv', table: 'csv', 'csv table': 'csv', spreadsheet: 'csv' },
  ...{ json: 'jscontact', jscontact: 'jscontact', jcard: 'jcard' },
  ...{ calendar: 'ics', ics: 'ics', icalendar: 'ics' },
};

/** Verbs whose object stands between their two parts: "bring ada back", "make ada private", "give ada a call". */
export const SPLIT_ACTS: readonly {
  readonly act: LineAct;
  readonly first: readonly string[];
  readonly last: readonly string[];
}[] = [
  { act: 'restore', first: ['bring', 'take'], last: ['back', 'out of the archive'] },
  { act: 'private', first: ['make', 'keep'], last: ['private'] },
  { act: 'public', first: ['make'], last: ['public'] },
  { act: 'call', first: ['give'], last: ['a call', 'a ring'] },
  { act: 'write', first: ['send', 'write'], last: ['a mail', 'an email', 'a letter', 'mail'] },
  { act: 'message', first: ['send'], last: ['a message', 'a text', 'an sms'] },
  { act: 'pin', first: ['pin'], last: ['to the top'] },
  { act: 'archive', first: ['put', 'move'], last: ['away', 'in the archive', 'into the archive'] },
];

/** Kinds of values by their names in plain speech. */
export const FIELD_NOUNS: Readonly<Record<string, string>> = {
  ...{
    number: 'number',
    phone: 'number',
    telephone: 'number',
    'phone number': 'number',
    'telephone number': 'number',
    tel: 'number',
  },
  ...{
    mobile: 'number:mobile',
    cell: 'number:mobile',
    'mobile number': 'number:mobile',
    'cell number': 'number:mobile',
    fax: 'number:fax',
    'fax number': 'number:fax',
    landline: 'number',
  },
  ...{ mail: 'mail', email: 'mail', 'e-mail': 'mail', 'email address': 'mail', 'mail address': 'mail' },
  ...{
    address: 'address',
    'postal address': 'address',
    street: 'address',
    town: 'town',
    city: 'town',
    birthday: 'birthday',
    'date of birth': 'birthday',
  },
  ...{ web: 'web', website: 'web', 'web address': 'web', homepage: 'web', site: 'web', url: 'web' },
  ...{
    organisation: 'organisation',
    organization: 'organisation',
    company: 'organisation',
    firm: 'organisation',
    employer: 'organisation',
  },
  ...{ title: 'title', role: 'title', job: 'title', post: 'title', position: 'title', profession: 'title' },
  ...{
    note: 'note',
    notes: 'note',
    nickname: 'nickname',
    pronouns: 'pronouns',
    tag: 'tag',
    tags: 'tags',
    lists: 'lists',
    age: 'age',
  },
  ...{ opener: 'opener', rhythm: 'rhythm', 'last talk': 'lastTalk', talks: 'lastTalk' },
};

/** Words before a kind of value that say where it belongs. */
export const KIND_WORDS: Readonly<Record<string, string>> = {
  ...{
    work: 'work',
    office: 'work',
    business: 'work',
    private: 'private',
    home: 'private',
    personal: 'private',
    mobile: 'mobile',
    cell: 'mobile',
    fax: 'fax',
  },
};

/** Questions for one value; WHO stands for somebody. */
export const QUESTIONS: readonly (readonly [question: string, field: string])[] = [
  ['where does WHO live', 'address'],
  ['where is WHO', 'address'],
  ['where does WHO work', 'organisation'],
  ['who does WHO work for', 'organisation'],
  ['what does WHO do', 'title'],
  ['how old is WHO', 'age'],
  ['when was WHO born', 'birthday'],
  ['when is WHO birthday', 'birthday'],
  ['how do i reach WHO', 'number'],
  ['which lists is WHO on', 'lists'],
  ['what lists is WHO on', 'lists'],
  ['when did i last talk to WHO', 'lastTalk'],
  ['when did i last meet WHO', 'lastTalk'],
  ['when did we last talk WHO', 'lastTalk'],
  ['last talk with WHO', 'lastTalk'],
  ['last talk WHO', 'lastTalk'],
  ['what do i know about WHO', 'note'],
];

/** Places of the application by what they are called. */
export const PLACES: Readonly<Record<string, string>> = {
  ...{
    tidy: 'tidy',
    duplicates: 'tidy',
    'find duplicates': 'tidy',
    'show duplicates': 'tidy',
    'clean up': 'tidy',
    'tidy up': 'tidy',
  },
  ...{
    lists: 'lists',
    'my lists': 'lists',
    today: 'today',
    'what is due': 'today',
    'who is due': 'today',
    "what's due": 'today',
    'gone quiet': 'today',
    'who has gone quiet': 'today',
  },
  ...{
    map: 'map',
    'the map': 'map',
    settings: 'settings',
    preferences: 'settings',
    backup: 'backup',
    'make a backup': 'backup',
    'back up': 'backup',
  },
  ...{
    import: 'import',
    'import a file': 'import',
    'import cards': 'import',
    'export everything': 'export',
    export: 'export',
    'export all': 'export',
  },
  ...{
    devices: 'devices',
    sync: 'devices',
    'my devices': 'devices',
    history: 'history',
    undo: 'history',
    changes: 'history',
    table: 'table',
    'the table': 'table',
  },
  ...{
    'new card': 'new',
    'add a card': 'new',
    help: 'help',
    book: 'book',
    'the book': 'book',
    write: 'write',
  },
};

/** How a talk that has been is told; `kind` of it where the words say so. */
export const TALKED: readonly (readonly [words: string, kind: string | undefined])[] = [
  ['note a talk with', undefined],
  ['note a talk', undefined],
  ['note a call with', 'call'],
  ['note a meeting with', 'meeting'],
  ['talked to', undefined],
  ['talked with', undefined],
  ['spoke to', undefined],
  ['spoke with', undefined],
  ['talk with', undefined],
  ['had a talk with', undefined],
  ['chatted with', undefined],
  ['met', 'meeting'],
  ['met with', 'meeting'],
  ['saw', 'meeting'],
  ['had lunch with', 'meeting'],
  ['had coffee with', 'meeting'],
  ['had dinner with', 'meeting'],
  ['had a meeting with', 'meeting'],
  ['visited', 'meeting'],
  ['called', 'call'],
  ['rang', 'call'],
  ['phoned', 'call'],
  ['wrote to', 'mail'],
  ['mailed', 'mail'],
  ['emailed', 'mail'],
  ['messaged', 'message'],
  ['texted', 'message'],
];

/** How a meeting to come is told. */
export const MEET = [
  'meet',
  'meet with',
  'meeting with',
  'see',
  'appointment with',
  'lunch with',
  'dinner with',
  'coffee with',
  'visit',
  'rehearsal with',
];

/** How a rhythm is told in one word. */
export const RHYTHMS: Readonly<Record<string, string>> = {
  ...{
    daily: '1 day',
    weekly: '1 week',
    fortnightly: '2 week',
    monthly: '1 month',
    quarterly: '1 quarter',
    yearly: '1 year',
    annually: '1 year',
  },
};

/** Players by what they play, and others whose word isn't the one on their cards. */
export const ROLES: Readonly<Record<string, string>> = {
  ...{
    violinist: 'violin',
    cellist: 'cello',
    pianist: 'piano',
    flautist: 'flute',
    flutist: 'flute',
    oboist: 'oboe',
    clarinettist: 'clarinet',
  },
  ...{
    clarinetist: 'clarinet',
    bassoonist: 'bassoon',
    violist: 'viola',
    harpist: 'harp',
    bassist: 'double bass',
    trumpeter: 'trumpet',
    hornist: 'horn',
    guitarist: 'guitar',
  },
};
