import { withCutPictures } from '@/hub/card';

import type { SeenCard } from '../passports/deviceView';
import { keepTexts, type MadeText } from '../passports/shown';
import type { SyncContext } from './context';
import { type DataVersion, writeForDevice } from './deviceText';

/** Cards as a device gets them, pictures cut down to what it shows. What is made of them in 3.0, which most ask for, is kept. */
export async function textsFor(
  { db, device }: Pick<SyncContext, 'db' | 'device'>,
  seen: readonly SeenCard[],
  version: DataVersion,
): Promise<string[]> {
  const texts: string[] = [];
  const made: MadeText[] = [];
  for (const one of seen) {
    if (version === '3.0' && one.text !== undefined) {
      texts.push(one.text);
      continue;
    }
    const { uid, seq, shape, card } = one;
    const cut = device.photoSide === null ? card : await withCutPictures(card, device.photoSide);
    const text = writeForDevice(cut, version);
    texts.push(text);
    if (version === '3.0' && shape !== undefined) made.push({ shape, uid, seq, text });
  }
  await keepTexts(db, made);
  return texts;
}
