/** What is wrong with a vCard. */
export const texts = {
  cardThatBeginsHere: 'the card that begins here has no END:VCARD; it was read up to the next',
  hasNoNameAndColon: (text: string) => `"${text}" has no name and colon, so it is no property`,
  isNoSoundBase64: (name: string) => `${name} is no sound base64; what of it can be read is kept`,
  thisCardIsEmpty: 'this card is empty',
  thisCardCantBeRead: (errorMessage: string) => `this card can't be read: ${errorMessage}`,
  thisLineIsOutside: 'this line is outside any card',
};
