/** Names of values that differ. */
export const texts = {
  relatedCards: 'related cards',
};
