import { PhotoCache } from '@/book/store';
import { MemoryStorage } from '@/book/testing';
import type { Talk } from '@/core/talks';

import { withFiles, withoutFiles } from './talkFiles';

const talk = (files: NonNullable<Talk['files']>): Talk => ({
  ...{ id: 't', kind: 'call', day: '2026-11-01', direction: 'in', with: ['ada'], said: '' },
  files,
});
const URI = 'data:text/plain;base64,QUJD';

test('files go out with their bytes and come back without, under the same name', async () => {
  const cache = new PhotoCache(new MemoryStorage());
  const [light] = await withoutFiles([talk([{ name: 'plan.txt', uri: URI }])], cache);
  expect(light?.files?.[0]).toMatchObject({ name: 'plan.txt' });
  expect(light?.files?.[0]?.uri).toBeUndefined();
  expect(await withFiles(light ? [light] : [], cache)).toEqual([talk([{ name: 'plan.txt', uri: URI }])]);
});

test('a file whose bytes are missing keeps its name, and one that lies elsewhere stays as it is', async () => {
  const cache = new PhotoCache(new MemoryStorage());
  const lost = talk([{ name: 'lost.txt', blobId: 'gone' }]);
  expect(await withFiles([lost], cache)).toEqual([lost]);
  const elsewhere = talk([{ name: 'x', uri: 'https://x.example/y' }]);
  expect(await withoutFiles([elsewhere], cache)).toEqual([elsewhere]);
});
