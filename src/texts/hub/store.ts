/** What the hub's store says where it can't work. */
export const texts = {
  diskIsFull: 'the disk of the hub is full; nothing was changed, make room and try again',
  diskIsReadOnly: 'the hub can’t write to its disk; nothing was changed',
  diskCantBeUsed: 'the hub can’t use its disk; nothing was changed',
  databaseIsReadOnly: 'the hub’s database can only be read at the moment; nothing was changed',
  databaseIsAway: 'the hub’s database can’t be reached at the moment; try again in a moment',
  thereIsNul: 'a text has a sign in it that can’t be kept (U+0000); nothing was changed',
  storeIsBusy: 'the hub is busy; nothing was changed, try again in a moment',
};
