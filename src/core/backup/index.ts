/**
 * The whole book in one file that any program can open: a zip archive of JSON files and a list of them.
 * Standard: JSContact (RFC 9553) for cards, SHA-256 (FIPS 180-4) for the list; the archive itself is made by whoever calls.
 * Left out: talks, until there are any; the history, which belongs to one browser.
 */
export { type BackupContents, type BackupFiles, writeBackup } from './writeBackup';
export { type BackupManifest, readBackup, type RestoredBackup } from './readBackup';
