/**
 * What the whole hub uses: the time, the country, secrets.
 */
export { COUNTRY } from './country';
export { isSecret, keepSecret } from './secrets';
export { utcNow } from './utcNow';
