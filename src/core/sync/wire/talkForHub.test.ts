import fc from 'fast-check';

import type { Talk } from '@/core/talks';

import { joinTalks, talkForHub, talkFromHub } from './talkForHub';

const talk: fc.Arbitrary<Talk> = fc.record({
  id: fc.constant('t'),
  kind: fc.constantFrom('call', 'meeting', 'mail'),
  day: fc.constantFrom('2026-11-01', '2026-11-02'),
  direction: fc.constantFrom('in', 'out', 'both'),
  with: fc.uniqueArray(fc.constantFrom('ada', 'bo', 'cara'), { minLength: 1 }),
  said: fc
    .array(fc.constantFrom('a', 'b', 'c d', '', 'e'), { maxLength: 6 })
    .map((lines) => lines.join('\n')),
});

test('of two changes of a talk nobody and nothing that was said is lost, whichever came first', () => {
  fc.assert(
    fc.property(talk, talk, (mine, theirs) => {
      const joined = joinTalks(mine, theirs);
      for (const { said, with: people } of [mine, theirs]) {
        // All its lines, in their order.
        let at = 0;
        for (const line of joined.said.split('\n')) if (line === said.split('\n')[at]) at += 1;
        expect(said === '' || at === said.split('\n').length).toBe(true);
        for (const uid of people) expect(joined.with).toContain(uid);
      }
      expect([joined.kind, joined.day]).toEqual([theirs.kind, theirs.day]);
      // Said again it is the same: an answer that got lost changes nothing twice.
      expect(joinTalks(joined, theirs).said).toBe(joined.said);
    }),
  );
});

test('lines that both have are there once', () => {
  const base: Talk = { id: 't', kind: 'call', day: '2026-11-01', direction: 'in', with: ['ada'], said: '' };
  const joined = joinTalks(
    { ...base, said: 'Programme\nTickets\nFee' },
    { ...base, said: 'Programme\nFee\nHall' },
  );
  expect(joined.said).toBe('Programme\nTickets\nFee\nHall');
});

test('files of both are kept, each once', () => {
  const base: Talk = { id: 't', kind: 'call', day: '2026-11-01', direction: 'in', with: ['ada'], said: '' };
  const [plan, map] = [
    { name: 'plan.txt', blobId: 'a' },
    { name: 'map.png', blobId: 'b' },
  ];
  const joined = joinTalks({ ...base, files: [plan] }, { ...base, files: [plan, map] });
  expect(joined.files).toEqual([plan, map]);
});

test('people whose cards are private don’t go, and are there again on the way back', () => {
  const isPrivate = (uid: string) => uid === 'bo';
  fc.assert(
    fc.property(talk, (mine) => {
      const pushed = talkForHub(mine, isPrivate);
      expect(pushed?.with ?? []).not.toContain('bo');
      expect(pushed === undefined).toBe(mine.with.every(isPrivate));
      if (pushed) expect(talkFromHub(mine, pushed, isPrivate).with.toSorted()).toEqual(mine.with.toSorted());
    }),
  );
});
