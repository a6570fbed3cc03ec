/** Where mail comes from. */
export const texts = {
  simulatedMailbox: 'the simulated mailbox',
};
