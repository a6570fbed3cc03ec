/**
 * Sync on the hub: the passports of devices, browsers that share the book, other CardDAV servers.
 *
 * It knows of no requests: CardDAV, browsers, other servers and simulated devices call it.
 *
 * passports/  what each device may receive, what it was last served, what it changed
 * engine/     taking in and deleting cards of devices and servers, remembering what they were shown
 * browsers/   pairing, pushing and pulling
 * servers/    the hub as a client of other servers
 */
export { answerPull } from './browsers/answerPull';
export { applyPush } from './browsers/applyPush';
export { knownAt } from './browsers/knownAt';
export { type Browser, findBrowser, forgetBrowser, makeCode, pairBrowser } from './browsers/pairing';
export { answerRecordsPull, applyRecordsPush } from './browsers/records';
export { setMembers } from './browsers/setMembers';
export { type SyncContext, SyncRefusal } from './engine/context';
export { type DataVersion, readFromDevice, versionOf, writeForDevice } from './engine/deviceText';
export { dropCard } from './engine/dropCard';
export { type Incoming, sentAs } from './engine/incoming';
export { linesOf, makeShown, queriedLines, uidsThatMay, type Words } from './engine/queries';
export { recordHeld } from './engine/recordHeld';
export { aliasOf, endAliases, rememberServed } from './engine/rememberServed';
export { takeCard } from './engine/takeCard';
export { textsFor } from './engine/textsFor';
export {
  allHeads,
  cardAt,
  cardOf,
  countIn,
  type DeviceView,
  type PlacedHead,
  type SeenCard,
  type SeenHead,
} from './passports/deviceView';
export { directoryChanges, directoryView } from './passports/directoryView';
export { hrefsOf } from './passports/hrefsOf';
export { isLetThrough, servedCard } from './passports/letThrough';
export { markSources } from './passports/markSources';
export { membersOf } from './passports/membersOf';
export { noteVisit, syncNow } from './passports/noteVisit';
export {
  addDevice,
  changePassport,
  type Credentials,
  type Device,
  findDevice,
  knownLately,
  listDevices,
  listsOf,
  type Passport,
  pauseDevice,
  removeDevice,
  signIn,
} from './passports/passports';
export { previewSync } from './passports/previewSync';
export { clearShown, shapeOf } from './passports/shown';
export { stateOf, type SyncState, syncTokenOf } from './passports/syncToken';
export { undoSync } from './passports/undoSync';
export { viewOf } from './passports/viewOf';
export { addAccount, listAccounts } from './servers/accounts';
export { type DavSession, openDavSession } from './servers/davSession';
export { syncAccount } from './servers/syncAccount';
