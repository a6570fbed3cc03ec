import { countOf } from '../plural';

/** Importing files, mail and calendars. */
export const texts = {
  restoredBackupOf: (made: string) => `Restored the backup of ${made}`,
  importedCards: (count: number, source: string) =>
    `Imported ${countOf(count, { one: 'card', other: 'cards' })} from ${source}`,
  placesCouldNotBeRead: (count: number) =>
    `${countOf(count, { one: 'place', other: 'places' })} could not be read; the cards around are not touched by it`,
  showMore: (count: number) => `Show more (${count})`,
  saveThemAsText: 'Save them as a text file',
  line: (file: string, line: number) => `${file}, line ${line}`,
  cardsImportedFrom: (count: number, source: string) =>
    `${countOf(count, { one: 'card', other: 'cards' })} imported from ${source}.`,
  cardsWereAlreadyHere: (count: number) =>
    `${countOf(count, { one: 'card was', other: 'cards were' })} already here and the same.`,
  cardsWereLeftOut: (count: number) =>
    `${countOf(count, { one: 'card was', other: 'cards were' })} left out, as you chose.`,
  importAnotherFile: 'Import another file',
  undoImport: 'Undo the import',
  fromVcardFilesOfAny:
    'From vCard files of any age (.vcf), tables (.csv), JSContact and jCard (.json), or all of them in a zip archive. You see what would change before anything is saved.',
  chooseFiles: 'Choose files',
  orDropThemAnywhere: 'Or drop them anywhere on this page, or paste their text.',
  textOfCardsOrOfTable: 'The text of cards, or of a table',
  readThisText: 'Read this text',
  pastedText: 'pasted text',
  cancel: 'Cancel',
  pasteText: 'Paste text',
  signatureMailOrWords:
    'A signature, a mail or the words on a printed card are no file of cards, but a card can be read out of them.',
  whatThisColumnSays: 'What this column says',
  is: (heading: string) => `“${heading}” is`,
  itsLabelHomeWork: 'Its label: home, work mobile, or your own',
  done: 'Done',
  itsColumnsAreMatched: 'Its columns are matched as you did for the last such file.',
  checkThatItsColumns: 'Check that its columns are understood.',
  tableOfRows: (name: string, count: number) =>
    `${name}: a table of ${countOf(count, { one: 'row', other: 'rows' })}.`,
  readingAgain: 'Reading again …',
  cardsWouldBeImported: (count: number) =>
    `${countOf(count, { one: 'card', other: 'cards' })} would be imported`,
  placesCantBeRead: (count: number, line: number, reason: string) =>
    `${countOf(count, { one: 'place', other: 'places' })} can’t be read like this: line ${line}, ${reason}`,
  useTheseColumns: 'Use these columns',
  noHeading: 'No heading',
  empty: 'Empty',
  fromNothingHasBeen: (source: string) => `From ${source}. Nothing has been changed yet.`,
  newCardCount: (count: number) => countOf(count, { one: 'new card', other: 'new cards' }),
  notInBook: 'Not in the book',
  cardsAlreadyHereBut: (count: number) =>
    `${countOf(count, { one: 'card', other: 'cards' })} already here, but different`,
  addsToYourCard: 'Takes what the file says; what it doesn’t mention stays as it is',
  replacesYourCard: 'The file’s card replaces yours',
  keepMine: 'Keep mine where the file says something else',
  keepMineHint: 'Its numbers and addresses are put beside mine; a name stays as I have it',
  chooseValues: (taken: number, all: number) =>
    taken === all
      ? `All ${countOf(all, { one: 'value', other: 'values' })}`
      : `${taken} of ${countOf(all, { one: 'value', other: 'values' })}`,
  hideValues: 'Hide values',
  youHave: (value: string) => `Instead of: ${value}`,
  besideYours: (value: string) => `Beside: ${value}`,
  goesAway: 'is removed',
  newOne: 'a new one',
  replaceInstead: 'Replace cards instead of adding to them',
  replaceInsteadHint: 'What only your card says is then lost; undo brings it back',
  cardsAreAlreadyHere: (count: number) =>
    `${countOf(count, { one: 'card is', other: 'cards are' })} already here and the same; nothing to do.`,
  thereIsNothingNew: 'There is nothing new in it.',
  nothingSelected: 'Nothing selected',
  importCards: (count: number) => `Import ${countOf(count, { one: 'card', other: 'cards' })}`,
  chooseAnotherFile: 'Choose another file',
  differsIn: (names: string) => `Differs in: ${names}`,
  showMoreNumbered: (rest: number) => `Show more (${rest})`,
  andMore: (count: number) => `and ${countOf(count, { one: 'more', other: 'more' })}`,
  couldNotBeRead: (current: string, reason: string) =>
    `${current} could not be read: ${reason}. Nothing was changed.`,
  file: 'a file',
  fileCount: (count: number) => `${count} files`,
  cardsCouldNotBePut: (reason: string) => `The cards could not be put into the book: ${reason}`,
  import: 'Import',
  book: 'Book',
  lastImportCardsFrom: (count: number, source: string) =>
    `Last import: ${countOf(count, { one: 'card', other: 'cards' })} from ${source}.`,
  seeWhatItDid: 'See what it did',
  readingCards: (name: string, count: number) =>
    `Reading ${name}: ${countOf(count, { one: 'card', other: 'cards' })}`,
  importingCardsStopUndoes: (count: number) =>
    `Importing: ${countOf(count, { one: 'card', other: 'cards' })}. Stop undoes what has been imported so far`,
  couldNotBeReadWhatHad: (source: string, reason: string) =>
    `${source} could not be read: ${reason}. What had come in was taken back.`,
  mailAndCalendars: 'Mail and calendars',
  eachMessageAndEachAppointment:
    'Each message and each appointment with somebody who has a card becomes a talk: when, who began it, what about. From mailboxes (.mbox), single messages (.eml), calendars (.ics), or all of them in a zip archive. Nothing leaves this browser, and reading a file again adds nothing twice.',
  whatWasWrittenIsKept: 'What was written is kept, too',
  withoutItOnlySubject: 'Without it only the subject is',
  orDropThemAnywhereOnThisPage: 'Or drop them anywhere on this page.',
  whichAddressesAreYours: 'Which addresses are yours? They tell what you sent from what you received.',
  continue: 'Continue',
  messagesReadTalksNew: (messages: number, talks: number) =>
    `${countOf(messages, { one: 'message', other: 'messages' })} read, ${countOf(talks, { one: 'talk', other: 'talks' })} new. Stop undoes what has been imported so far`,
  chooseOtherFiles: 'Choose other files',
  messagesAndAppointmentsRead: (messages: number, appointments: number) =>
    `${countOf(messages, { one: 'message', other: 'messages' })} and ${countOf(appointments, { one: 'appointment', other: 'appointments' })} read.`,
  talksNew: (count: number) => `${countOf(count, { one: 'talk', other: 'talks' })} new.`,
  talksNewAndKnown: (count: number, known: number) =>
    `${countOf(count, { one: 'talk', other: 'talks' })} new, ${known} known already.`,
  appointmentsToCome: (count: number) =>
    `${countOf(count, { one: 'appointment', other: 'appointments' })} to come.`,
  addressesWrittenToWithout: (count: number) =>
    `${countOf(count, { one: 'address', other: 'addresses' })} written to without a card.`,
  reviewUnfiledAddresses: 'Review unfiled addresses',
  importOtherFiles: 'Import other files',
  change: (shown: string, column: string) => `${shown}: ${column}. Change`,
  ofThemSelected: (hint: string, chosen: number) => `${hint}; ${chosen} of them selected`,
  noName: 'No name',
};
