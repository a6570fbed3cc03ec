/** What devices have changed, for the log. */
export const texts = {
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
  deleted: (name: string) => `Deleted ${name}`,
};
