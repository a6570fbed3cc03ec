/** Our words for the yearly days of RFC 9553 §2.8.1 that people keep; any other is an anniversary. */
export const DAY_NAMES: Readonly<Record<string, string>> = { birth: 'birthday', wedding: 'wedding day' };
