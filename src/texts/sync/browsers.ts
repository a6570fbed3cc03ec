/** What browsers have changed, for the log. */
export const texts = {
  browser: 'Browser',
  privateCardStaysInItsBrowser: 'a private card stays in its browser',
  changed: (name: string) => `Changed ${name}`,
  added: (name: string) => `Added ${name}`,
  deleted: (name: string) => `Deleted ${name}`,
  othersAreOn: (name: string) => `Others are on ${name}`,
};
