/** Values of which a card has one only. */
export const texts = {
  languageOfCard: 'Language of the card',
  pronouns: 'Pronouns',
  rhythm: 'Rhythm',
  notCalledQuietBefore: 'Not called quiet before',
  name: 'name',
  birthday: 'birthday',
  postsOf: 'Posts of',
  person: 'a person',
  organisation: 'an organisation',
  list: 'a list',
};
