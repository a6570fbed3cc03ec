/**
 * The outside: storage, other pages, the clock, files, what the device can open.
 * Standard: the web platform.
 * Left out: everything that knows what a card is.
 */
export * from './acts';
export * from './bookName';
export * from './calendarHub';
export * from './clock';
export * from './files';
export * from './gazetteer';
export * from './hub';
export * from './image';
export * from './keyboard';
export * from './locale';
export * from './manifest';
export * from './notify';
export * from './pageEvents';
export { storedPanes, storePane } from './paneWidths';
export * from './paths';
export * from './ring';
export * from './share';
export { keepStill, removeSketch } from './stillPage';
export * from './storage';
export * from './tabs';
