/** What the browser’s own services say. */
export const texts = {
  pastedText: 'pasted text',
  hubCantBeReached: 'the hub can’t be reached',
  hubAnswered: (status: number) => `the hub answered ${status}`,
  kmCount: (count: number) => `${count} km`,
  pageToPrint: 'Page to print',
  here: 'here',
  lessThanTenthOfMegabyte: 'less than 0.1 MB',
};
