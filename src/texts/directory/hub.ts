/** Who may do what in the directory, as the hub says it. */
export const texts = {
  nameIsNeeded: 'a name is needed',
  hasAccessAlready: (name: string) => `${name} has access already`,
  gaveAccessAs: (name: string, role: string) => `Gave ${name} access as ${role}`,
  newPassphraseFor: (name: string) => `New passphrase for ${name}`,
  removedAccessOf: (name: string) => `Removed the access of ${name}`,
  tooManyWrongPassphrases: 'too many wrong passphrases; try again in a few minutes',
  passphraseHasLettersAtLeast: (least: number) => `a passphrase has ${least} letters at least`,
  nobodyCalledHasAccess: (name: string) => `nobody called ${name} has access`,
  lastAdministratorCantBeChanged: 'the last administrator can’t be changed',
  changed: 'Changed',
  added: 'Added',
  removed: (name: string) => `Removed ${name}`,
  rowsMoreThanCanBeTaken: (over: number) => `${over} rows more than can be taken at once`,
};
