/** @jest-environment node */
import { newCard } from '@/core/card';
import { openLog } from '@/hub/base';
import { inTransaction, putCard } from '@/hub/store';
import { addDevice } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

import { runChores } from './runChores';

let hub: TestHub;
let stop: (() => void) | undefined;
beforeEach(async () => {
  hub = await startTestHub();
  await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
});
afterEach(async () => {
  stop?.();
  await hub.stop();
});

const put = (uid: string, full: string) =>
  inTransaction(hub.db, (store) =>
    putCard(
      store,
      uid,
      { ...newCard(uid, TEST_NOW), name: { full } },
      { at: TEST_NOW, device: null, says: 'put' },
    ),
  );
const ready = () => hub.db.selectFrom('shown').select(['uid', 'asked']).orderBy('uid').execute();

async function until(isSo: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 200; tries += 1) {
    if (await isSo()) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  throw new Error('it never was');
}

test('what devices see is made ready when the book has come to rest, again after a change, and not after the end', async () => {
  await put('ada', 'Ada');
  stop = runChores({
    db: hub.db,
    log: openLog({}, hub.folder),
    retention: { years: 2, megabytes: 200 },
    quietMs: 5,
  });
  await until(async () => (await ready()).some(({ asked }) => asked?.includes('ada') === true));
  await put('ada', 'Bo');
  await until(async () => (await ready()).some(({ asked }) => asked?.includes('bo') === true));
  // What was made for a passport that is no more is cleared away with the rest, once a day.
  expect(await hub.db.selectFrom('about').select('name').where('name', '=', 'tidied').execute()).toHaveLength(
    1,
  );
  stop();
  await put('cy', 'Cy');
  await new Promise((resolve) => setTimeout(resolve, 60));
  expect((await ready()).map(({ uid }) => uid)).toEqual(['ada']);
});
