import fc from 'fast-check';

import { UidMap } from './uidMap';

test('holds what a plain map holds, and leaves the one before as it was', () => {
  const uid = fc.string({ maxLength: 3 });
  const step = fc.record({ puts: fc.array(fc.tuple(uid, fc.integer())), gone: fc.array(uid) });
  fc.assert(
    fc.property(fc.array(step), (steps) => {
      let map = UidMap.empty<number>();
      const plain = new Map<string, number>();
      for (const { puts, gone } of steps) {
        const before = [map, map.size, new Map(map.uids().map((one) => [one, map.get(one)]))] as const;
        map = map.with(puts, gone);
        gone.forEach((one) => plain.delete(one));
        puts.forEach(([one, value]) => plain.set(one, value));
        expect(before[0].size).toBe(before[1]);
        for (const [one, value] of before[2]) expect(before[0].get(one)).toBe(value);
      }
      expect(map.size).toBe(plain.size);
      expect(new Set(map.uids())).toEqual(new Set(plain.keys()));
      expect([...map.values()].sort()).toEqual([...plain.values()].sort());
      for (const [one, value] of plain) expect([map.has(one), map.get(one)]).toEqual([true, value]);
    }),
  );
});

test('shares everything with the map before but what was put in', () => {
  const map = UidMap.empty<number>().with([['a', 1]]);
  expect(map.with([])).toBe(map);
  expect([map.get('b'), map.has('b')]).toEqual([undefined, false]);
});
