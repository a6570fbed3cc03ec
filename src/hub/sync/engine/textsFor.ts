import { withCutPictures } from '@/hub/card';
import { withPictures } from '@/hub/store';

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
  const isKnown = ({ text }: SeenCard) => version === '3.0' && text !== undefined;
  const open = seen.filter((one) => !isKnown(one));
  const cards = await withPictures(
    db,
    open.map(({ card }) => card),
  );
  const written = new Map<SeenCard, string>();
  const made: MadeText[] = [];
  for (const [i, one] of open.entries()) {
    const { uid, seq, shape } = one;
    const text = writeForDevice(await withCutPictures(cards[i] ?? one.card, device.photoSide), version);
    written.set(one, text);
    if (version === '3.0' && shape !== undefined) made.push({ shape, uid, seq, text });
  }
  await keepTexts(db, made);
  return seen.map((one) => written.get(one) ?? one.text ?? '');
}
