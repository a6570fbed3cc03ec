/**
 * What the whole hub uses: the time, the country, secrets.
 */
export { COUNTRY } from './country';
export { isOutdated, isSecret, keepSecret, type KeptSecret } from './secrets';
export { mayTry, triesOf } from './tries';
export { utcNow } from './utcNow';
