/**
 * What the whole hub uses: the time, the country, secrets, the log, letting others have their turn.
 */
export { breathe, breatheLast } from './breathe';
export { COUNTRY } from './country';
export { type Fault, faultOf, type HubLog, LOG_FILE, NO_LOG, openLog } from './log';
export { sealOctets, unsealOctets } from './sealOctets';
export {
  type Cost,
  deriveKey,
  isOutdated,
  isSecret,
  keepSecret,
  type KeptSecret,
  MIN_PASSPHRASE,
} from './secrets';
export { utcNow } from './utcNow';
