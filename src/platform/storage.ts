import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** What the book needs of a store of texts under keys. */
export interface TextStorage {
  getItem(key: string): Promise<string | null>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
  clear(): Promise<void>;
}

/** Whether the browser has promised not to throw the storage away for room; undefined where it can't say. */
export async function isPersisted(): Promise<boolean | undefined> {
  return typeof navigator.storage?.persisted === 'function' ? navigator.storage.persisted() : undefined;
}

/** Asks the browser for that promise (Storage Standard §5); some ask the user. @returns whether it was given */
export async function askToPersist(): Promise<boolean> {
  return typeof navigator.storage?.persist === 'function' && navigator.storage.persist();
}

/** How many bytes the storage takes, as far as the browser says. */
export async function storageUsed(): Promise<number | undefined> {
  return typeof navigator.storage?.estimate === 'function'
    ? (await navigator.storage.estimate()).usage
    : undefined;
}

/** The storage of this device under a name of its own; the demo and the user's book have different ones. */
export function openStorage(name: string): TextStorage {
  return createAsyncStorage(name);
}
