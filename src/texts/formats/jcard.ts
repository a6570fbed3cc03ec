/** What is wrong with a jCard. */
export const texts = {
  cardOf: (at: number, total: number) => `card ${at} of ${total}`,
  isNoJcard: (place: string) => `${place} is no jCard`,
};
