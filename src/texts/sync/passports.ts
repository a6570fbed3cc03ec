/** What is said of a device’s syncs. */
export const texts = {
  undidWhatDidTo: (name: string, card: string) => `Undid what ${name} did to ${card}`,
};
