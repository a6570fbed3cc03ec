/** Writing cards as a file. */
export const texts = {
  exportedAs: (count: string, label: string) => `Exported ${count} as ${label}`,
  cardsCouldNotBeExported: (reason: string) => `The cards could not be exported: ${reason}`,
};
