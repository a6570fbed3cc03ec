/** What each format keeps. */
export const texts = {
  keepsEverythingForPhones: 'Keeps everything; for phones and mail programs.',
  keepsEverythingForOlder: 'Keeps everything; for older programs.',
  jscontact: 'JSContact',
  keepsEverythingAsBook: 'Keeps everything, as the book itself has it.',
  keepsEverythingVcardForPrograms: 'Keeps everything; vCard for programs that read JSON.',
  tableCsv: 'Table (CSV)',
  keepsWhatFitsInCells:
    'Keeps what fits in cells, in columns you choose; no photos, no related cards, no members of lists.',
  calendarOfDays: 'Calendar of days',
  onlyBirthdaysAndOther: 'Only birthdays and other yearly days, for a calendar program.',
};
