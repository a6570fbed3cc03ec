/** Cards in one piece of an answer: others are answered between two. */
export const PIECE = 50;

/** Lets everything else have its turn. */
export const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));
