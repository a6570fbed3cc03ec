import type { Services } from '@/book/state';
import { KEYS } from '@/book/store';

/** Keeps the text that a card is being read out of, over a reload and from place to place; '' forgets it. */
export function storeTextToRead({ writer }: Pick<Services, 'writer'>, text: string): void {
  writer.put(KEYS.textToRead, text);
}

/** The text that is kept; '' for none. */
export async function storedTextToRead({
  storage,
  writer,
}: Pick<Services, 'storage' | 'writer'>): Promise<string> {
  await writer.flush();
  return (await storage.getItem(KEYS.textToRead).catch(() => '')) ?? '';
}
