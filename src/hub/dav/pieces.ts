/** Cards in one piece of an answer: others are answered between two. */
export const PIECE = 50;
/** The same where nothing on them is told. */
export const PIECE_OF_HEADS = 500;

/** Lets everything else have its turn. */
export const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));
