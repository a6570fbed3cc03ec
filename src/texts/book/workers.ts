/** Archives and files that can’t be read. */
export const texts = {
  archiveIsTooLarge: 'the archive is too large',
  archiveIsDamaged: (errorMessage: string) => `the archive is damaged: ${errorMessage}`,
  noCardsWereFound: 'no cards were found in it; vCard, JSContact, jCard and tables (CSV) can be read',
  tableCsv: 'Table (CSV)',
};
