/** Cards in one piece of an answer: others are answered between two. */
export const PIECE = 50;
/** The same where nothing on them is told. */
export const PIECE_OF_HEADS = 500;
