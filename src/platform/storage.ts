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

/** The storage of this device under a name of its own; the demo and the user's book have different ones. */
export function openStorage(name: string): TextStorage {
  return createAsyncStorage(name);
}
