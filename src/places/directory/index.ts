/**
 * The common directory.
 */
export { DirectoryPage } from './DirectoryPage';
