import { countOf } from '../plural';

/** The Book as rows. */
export const texts = {
  orderOfBook: 'Order of the Book',
  particleCount: 'Particles count',
  particlesInOrder: 'Particles in the order',
  all: 'All',
  people: 'People',
  organisations: 'Organisations',
  givenName: 'given name',
  dateAdded: 'date added',
  lastTalk: 'last talk',
  peopleOrganisations: (people: number, organisations: number) =>
    `${countOf(people, { one: 'person', other: 'people' })} · ${countOf(organisations, { one: 'organisation', other: 'organisations' })}`,
  book: 'Book',
  settingsImportAndExport: 'Settings, import and export',
  selectSeveral: 'Select several',
  asTable: 'As a table',
  order: (word: string) => `Order: ${word}`,
  cards: 'Cards',
  letter: (letter: string) => `letter ${letter}`,
  everybodyYouAddAppears: 'Everybody you add appears here, in order, and a few letters find them again.',
  thereAreNoPeople: 'There are no people in the book yet.',
  firmsHallsOfficesCard: 'Firms, halls, offices: a card can also be an organisation’s.',
  createFirstCard: 'Create the first card',
  getBookFromHub: 'Get the book back from a hub',
  importCardsFromFile: 'Import cards from a file',
  chooseSomebodyOnLeft:
    'Choose somebody on the left, or press / and type a few letters of a name, a town or a number.',
  sortedBy: 'Sorted by',
  whichCards: 'Which cards',
};
