/** Reading a card out of a picture. */
export const texts = {
  readPicture: 'Read a picture of a card',
  anotherPicture: 'Another picture',
  languageOfCard: 'Language of the card',
  cardIn: (language: string) => `Card in ${language}`,
  english: 'English',
  german: 'German',
  french: 'French',
  spanish: 'Spanish',
  italian: 'Italian',
  polish: 'Polish',
  readerComes: 'Getting the reader of pictures ready',
  reading: 'Reading the picture',
  picture: 'The picture that was read',
  keepPicture: 'Keep the picture with the card',
  keptOnlyIfAsked: 'otherwise it is forgotten when the card is added',
  fileLabel: (name: string) => `Card of ${name}`,
  cantBeRead: (why: string) => `The picture could not be read: ${why}.`,
  tooSmall:
    'The picture is too small to be read: its letters are a few pixels high. Take it again from closer.',
  tooDark: 'The picture is too dark to be read. Take it again in more light.',
  tooPale: 'The letters hardly differ from the paper. Take the picture again in even light.',
  blurred: 'The picture is blurred. Hold the camera still, a hand’s breadth away, and take it again.',
  noWords:
    'No words could be read in this picture. Lay the card flat, fill the picture with it, and try again.',
};
