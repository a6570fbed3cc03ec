const waiting: (() => void)[] = [];
const idle: (() => void)[] = [];

/**
 * Lets everything else go on for a moment: a database in this process lets nobody in by itself. Of many who wait one goes on per turn of the
 * event loop, so that what has just been asked is never behind a piece of each of their work.
 */
export function breathe(): Promise<void> {
  return waitIn(waiting);
}

/** The same for what is done when there is time: all who answer somebody go first. */
export function breatheLast(): Promise<void> {
  return waitIn(idle);
}

function waitIn(queue: (() => void)[]): Promise<void> {
  return new Promise((resolve) => {
    if (waiting.length + idle.length === 0) setImmediate(letOneOn);
    queue.push(resolve);
  });
}

function letOneOn(): void {
  (waiting.shift() ?? idle.shift())?.();
  if (waiting.length + idle.length > 0) setImmediate(letOneOn);
}
