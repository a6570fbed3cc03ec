/** Posts of somebody’s page. */
export const texts = {
  thereIsJsonAtThisAddress: 'there is JSON at this address that is no feed',
  thereIsXmlAtThisAddress: 'there is XML at this address that is no feed',
  feedCantBeRead: (reason: string) => `the feed can’t be read: ${reason}`,
  pageAtThisAddress: 'the page at this address names no feed',
  addressLeadsIntoPrivate: 'the address leads into a private network',
  doesntAnswer: (host: string) => `${host} doesn’t answer`,
  isntKnownOrThereIsNoNetwork: (host: string) => `${host} isn’t known, or there is no network`,
  cantBeReached: (host: string, code: string) => `${host} can’t be reached (${code})`,
};
