/**
 * Countries by their names.
 * Standard: ISO 3166-1 alpha-2 for codes, CLDR for names.
 * Left out: numbering plans (core/phone).
 */
export { countryCodes } from './countryCodes';
export { findCountryCode } from './findCountryCode';
