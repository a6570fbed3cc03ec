/**
 * Pictures cut to the size a device keeps.
 */
export { withCutPictures, withServedPictures } from './pictures/cutPicture';
