import { EventEmitter } from 'node:events';

const news = new EventEmitter();
// Every open page of every browser listens.
news.setMaxListeners(0);

/** Notifies listeners of a change. It may not be on the disk yet; a reader that is too early reads again later. */
export function notifyOfChange(seq: number): void {
  news.emit('change', seq);
}

/** Listens for changes until the returned function is called. */
export function onChange(listen: (seq: number) => void): () => void {
  news.on('change', listen);
  return () => news.off('change', listen);
}
