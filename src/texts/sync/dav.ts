/** What devices have changed, for the log. */
export const texts = {
  deviceSignsIn: 'a device signs in with the name and the password of its passport',
  noPassport: 'that name and password are no passport’s',
  tooManyWrongPasswords: 'too many wrong passwords; wait ten minutes',
  thisPassportLetsNothingThrough: 'the passport of this device lets nothing through',
  thisDeviceOnlyReceives: 'this device only receives',
  thereIsCardWithThatUid: 'there is a card with that UID',
  onlyTextVcardIsTaken: 'only text/vcard is taken',
  cardIsTooLarge: 'the card is too large',
  thatIsNoCard: 'that is no card',
  oneCardIsPut: 'one card is put at a time',
  cardHasChanged: 'the card has changed',
  cardIsThereAlready: 'the card is there already',
  cardHasJustBeen: 'the card has just been deleted',
  changed: (name: string) => `Changed ${name}`,
  added: (name: string) => `Added ${name}`,
  joinedCardOfTo: (device: string, card: string) => `Joined a card of ${device} to ${card}`,
  putOnto: (name: string) => `Put onto ${name}`,
  thereIsNoSuch: 'there is no such card',
  changedSinceDeviceSawIt:
    'the card has been changed since this device was shown it; it is told with the next sync',
  deleted: (name: string) => `Deleted ${name}`,
  serverLeadsTo: (origin: string) =>
    `the server leads to ${origin}; where that is right, connect it under that address`,
  serverLeadsOnAndOn: 'the server leads on and on',
  serverIsSilent: (host: string) => `${host} doesn’t answer`,
  visitTookTooLong: (host: string) => `${host} is too slow; the rest is exchanged with the next visit`,
  serverIsNoLongerConnected: 'that server is no longer connected',
  serverIsBeingVisited: 'that server is being visited at the moment',
  serverSaysTooMuch: 'the server says more than can be taken at once',
  devicesWait:
    'the hub has been restored from a backup: devices wait until a browser has brought what was done since',
};
