/** ISO 3166-1 alpha-2: by whose habits numbers without a country code are read. */
export const COUNTRY = 'GB';
