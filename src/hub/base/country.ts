/** ISO 3166-1 alpha-2, for numbers without a country code. */
export const COUNTRY = 'GB';
