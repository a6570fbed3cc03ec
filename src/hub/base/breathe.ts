/** Lets everything else have its turn. */
export const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));
