/** @jest-environment node */
// Works that come at once share a transaction: each is all the same as if it had been alone, and answered when it is written.
import fc from 'fast-check';
import { sql } from 'kysely';

import { startTestHub, type TestHub } from '@/hub/testing';

import { engineOf, type HubDb, inTransaction, notifyOfChange, onChange } from '.';

let hub: TestHub;
beforeEach(async () => (hub = await startTestHub()));
afterEach(() => hub.stop());

interface Piece {
  readonly key: number;
  /** Whether it fails when it has written, or by what the database refuses. */
  readonly ends: 'well' | 'thrown' | 'refused';
  /** Turns of the loop before it is asked for. */
  readonly after: number;
}
const pieceOf: fc.Arbitrary<Piece> = fc.record({
  key: fc.nat(2),
  ends: fc.constantFrom('well', 'well', 'well', 'thrown', 'refused'),
  after: fc.nat(3),
});

/** Counts one up, reading it first as everything does that merges. */
async function countUp(store: HubDb, key: string): Promise<string> {
  const row = await store.selectFrom('members').select('uids').where('list', '=', key).executeTakeFirst();
  const uids = String(Number(row?.uids ?? '0') + 1);
  await store
    .insertInto('members')
    .values({ list: key, uids })
    .onConflict((conflict) => conflict.column('list').doUpdateSet({ uids }))
    .execute();
  return uids;
}

const all = async () => {
  const rows = await hub.db.selectFrom('members').selectAll().execute();
  return Object.fromEntries(rows.map(({ list, uids }) => [list, Number(uids)]));
};

test('whatever comes at once and fails, what was answered well is there once, and nothing else', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(pieceOf, { minLength: 1, maxLength: 80 }), async (pieces) => {
      await hub.db.deleteFrom('members').execute();
      const model: Record<string, number> = {};
      const outcomes = await Promise.all(
        pieces.map(async ({ key, ends, after }) => {
          for (let turn = 0; turn < after; turn += 1) await new Promise((resolve) => setImmediate(resolve));
          const name = `list ${key}`;
          return inTransaction(hub.db, async (store) => {
            const count = await countUp(store, name);
            if (ends === 'thrown') throw new Error('thrown');
            // A name that is there already: the database itself refuses it.
            if (ends === 'refused')
              await store.insertInto('members').values({ list: name, uids: '' }).execute();
            return count;
          }).then(
            (count) => ({ name, count: Number(count) }),
            () => undefined,
          );
        }),
      );
      for (const one of outcomes) if (one) model[one.name] = (model[one.name] ?? 0) + 1;
      expect(outcomes.filter(Boolean)).toHaveLength(pieces.filter(({ ends }) => ends === 'well').length);
      expect(await all()).toEqual(model);
      // Each has seen what all before it had written: none was given twice.
      const given = outcomes.flatMap((one) => (one ? [`${one.name} ${one.count}`] : []));
      expect(new Set(given).size).toBe(given.length);
    }),
    { numRuns: 40 },
  );
});

test('where the transaction can’t be ended, none of its works is answered well, and none has done anything', async () => {
  const engine = engineOf(hub.db);
  let fails = false;
  const { transact } = engine;
  Object.assign(engine, {
    transact: <T>(work: (store: HubDb) => Promise<T>) =>
      transact(async (store) => {
        const value = await work(store);
        if (fails) throw new Error('the disk is full');
        return value;
      }),
  });
  const first = inTransaction(hub.db, (store) => countUp(store, 'a'));
  fails = true;
  const others = Array.from({ length: 5 }, () => inTransaction(hub.db, (store) => countUp(store, 'b')));
  expect((await Promise.allSettled([first, ...others])).map(({ status }) => status)).toEqual(
    Array.from({ length: 6 }, () => 'rejected'),
  );
  fails = false;
  await inTransaction(hub.db, (store) => countUp(store, 'c'));
  expect(await all()).toEqual({ c: 1 });
});

test('news are told once what they tell of is written, and never of what wasn’t', async () => {
  const heard: number[] = [];
  const stop = onChange(hub.db, (seq) => void heard.push(seq));
  const tell = (seq: number, fails = false) =>
    inTransaction(hub.db, async (store) => {
      notifyOfChange(store, seq);
      await sql`select 1`.execute(store);
      if (fails) throw new Error('thrown');
    }).catch(() => undefined);
  await tell(1, true);
  // What shares a transaction is told together.
  await Promise.all([tell(3), tell(9, true), tell(7), tell(8, true)]);
  while (!heard.includes(7)) await new Promise((resolve) => setTimeout(resolve, 10));
  expect([heard.at(-1), heard.filter((seq) => seq !== 3 && seq !== 7)]).toEqual([7, []]);
  stop();
});
