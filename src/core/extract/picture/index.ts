/** Pictures of printed cards, made ready to be read and what was read mended; the reading itself is done elsewhere. */
export { faultOf, type PictureFault } from './faultOf';
export { greyOf, type GreyPicture, toGreymap, turned } from './greyPicture';
export { mendReadText } from './mendReadText';
export { countryOfCard, languageOfCards, type PictureLanguage } from './pictureLanguages';
export { isSureReading, type PictureReading, readyToRead, worthOf } from './readyToRead';
