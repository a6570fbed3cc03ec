/**
 * Countries by their names.
 * Standard: ISO 3166-1 alpha-2 for codes, CLDR for names.
 * Left out: numbering plans (core/phone).
 */
export { findCountryCode } from './findCountryCode';
