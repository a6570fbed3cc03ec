/** What is wrong with JSContact. */
export const texts = {
  cardOf: (at: number, total: number, message: string) => `card ${at} of ${total}: ${message}`,
};
