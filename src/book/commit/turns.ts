import type { Services } from '@/book/state';

/** Makes a queue for each page: work in it runs one after the other, whether the one before has succeeded or not. */
export function makeTurns(): <T>(services: Services, work: () => Promise<T>) => Promise<T> {
  const last = new WeakMap<Services, Promise<void>>();
  return (services, work) => {
    const turn = (last.get(services) ?? Promise.resolve()).then(work);
    last.set(
      services,
      turn.then(
        () => undefined,
        () => undefined,
      ),
    );
    return turn;
  };
}
