/** Values noticed in passing. */
export const texts = {
  dismissedFor: (shown: string, of: string) => `Dismissed ${shown} for ${of}`,
  new: (name: string, word: string, shown: string) => `${name}: new ${word} ${shown}`,
};
