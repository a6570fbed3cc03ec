/** What is said of files that can’t be read at all. */
export const texts = {
  documentTypeIsNotTaken: 'a document type is not taken',
  tooDeepOrTooLarge: 'too deep or too large',
  thereIsNoElement: 'there is no element in it',
};
