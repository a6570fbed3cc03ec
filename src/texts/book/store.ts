/** Records that can’t be read. */
export const texts = {
  anotherCardsKey: 'another card’s key',
  noJson: 'no JSON',
};
