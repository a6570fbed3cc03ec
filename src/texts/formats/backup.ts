/** What is wrong with a backup. */
export const texts = {
  itIsNoArchive: (reason: string) => `it is no archive that can be opened: ${reason}`,
  itHasNoList: 'it has no list of its contents (manifest.json), so it is no backup',
  itWasMadeByNewer: (version: number) =>
    `it was made by a newer version (${version}); update Cordialis to restore it`,
  isMissingFromArchive: 'is missing from the archive',
  hasChangedSinceBackup: 'has changed since the backup was made',
  cardsJsonCard: (count: number, message: string) => `cards.json: card ${count}: ${message}`,
  hasCardsThatCanBeRead: (count: number, cards: number) =>
    `has ${count} cards that can be read, where it had ${cards}`,
  talksJsonTalkCouldNotBeRead: (count: number) => `talks.json: talk ${count} could not be read`,
};
