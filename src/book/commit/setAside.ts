import { type AppThunk, setAsideDiscarded } from '@/book/state';
import { KEYS, keysUnder } from '@/book/store';

/** Records that could not be read, by the keys under which they stood. */
export function readSetAside(): AppThunk<Promise<Record<string, string>>> {
  return async (_, __, { storage, writer }) => {
    await writer.flush();
    const keys = keysUnder(await storage.getAllKeys(), KEYS.aside);
    const stored = await storage.getMany(keys);
    return Object.fromEntries(keys.map((key) => [key.slice(KEYS.aside.length), stored[key] ?? '']));
  };
}

/** Removes what was set aside, once the user has it as a file. */
export function discardSetAside(): AppThunk<Promise<void>> {
  return async (dispatch, _, { storage, writer }) => {
    await writer.remove(keysUnder(await storage.getAllKeys(), KEYS.aside));
    dispatch(setAsideDiscarded());
  };
}
