/**
 * CardDAV for devices: RFC 6352, RFC 4918, RFC 6578 and RFC 5397. What it does to cards is done by the sync engine.
 */
export { davRouter, onlyDevices, wellKnown } from './davRouter';
