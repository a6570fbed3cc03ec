/** Opening the book. */
export const texts = {
  stepIsDamaged: 'this step of the history can’t be read',
  simulatedMailbox: 'the simulated mailbox',
};
