/**
 * CardDAV for devices: RFC 6352, RFC 4918, RFC 6578 and RFC 5397.
 */
export { addAccount, listAccounts } from './accounts/accounts';
export { type DavSession, openDavSession } from './accounts/davSession';
export { syncAccount } from './accounts/syncAccount';
export { davRouter, onlyDevices, wellKnown } from './davRouter';
