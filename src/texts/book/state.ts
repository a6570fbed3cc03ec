/** Orders of the Book. */
export const texts = {
  pinned: 'Pinned',
  surnameThenGivenName: 'Surname, then given name',
  givenNameThenSurname: 'Given name, then surname',
  organisation: 'Organisation',
  place: 'Place',
  dateAddedLatestFirst: 'Date added, the latest first',
  lastTalkLatestFirst: 'Last talk, the latest first',
  closenessClosestFirst: 'Closeness, the closest first',
};
