// The examples follow CommonMark 0.31 where it has the same marks; the rest is ours.
import fc from 'fast-check';

import { linkToCard } from './cardLinks';
import { parseNote } from './parseNote';

const cases = [
  { name: 'plain text', note: 'Sings Dowland.', blocks: [['line', 'text:Sings Dowland.']] },
  {
    name: 'strong and emphasised words',
    note: 'no **nuts**, *please*',
    blocks: [['line', 'text:no ', 'strong:nuts', 'text:, ', 'emphasis:please']],
  },
  { name: 'a sum is no emphasis', note: '2 * 3 * 4 ** 5', blocks: [['line', 'text:2 * 3 * 4 ** 5']] },
  {
    name: 'a list',
    note: 'brings:\n- his stand\n* a lamp',
    blocks: [
      ['line', 'text:brings:'],
      ['item', 'text:his stand'],
      ['item', 'text:a lamp'],
    ],
  },
  {
    name: 'a web address, without the full stop behind it',
    note: 'see https://example.org/a?b=1.',
    blocks: [['line', 'text:see ', 'web:https://example.org/a?b=1', 'text:.']],
  },
  { name: 'words that lead to the web', note: '[here](https://example.org)', blocks: [['line', 'web:here']] },
  {
    name: 'script is no address',
    note: '[x](javascript:alert(1))',
    blocks: [['line', 'text:[x](javascript:alert(1))']],
  },
  { name: 'HTML stays text', note: '<b>x</b>', blocks: [['line', 'text:<b>x</b>']] },
  {
    name: 'a broken escape stays text',
    note: '[x](card:%E0%A4)',
    blocks: [['line', 'text:[x](card:%E0%A4)']],
  },
  { name: 'nothing', note: '', blocks: [['line', 'text:']] },
];
for (const { name, note, blocks } of cases) {
  test(`a note: ${name}`, () => {
    expect(
      parseNote(note).map(({ kind, spans }) => [kind, ...spans.map((span) => `${span.kind}:${span.text}`)]),
    ).toEqual(blocks);
  });
}

test('law: a link to any card leads there, whatever its uid and its name', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), fc.stringMatching(/^[^\][\n\r*]{1,20}$/), (uid, name) => {
      const note = `with ${linkToCard(uid, name)} too`;
      const links = parseNote(note).flatMap(({ spans }) =>
        spans.flatMap((span) => (span.kind === 'card' ? [span.uid] : [])),
      );
      expect(links).toEqual([uid]);
      expect(parseNote(note)[0]?.spans[1]).toEqual({ kind: 'card', text: name, uid });
    }),
  );
});

test('law: no text of a note is lost', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[a-z *_\n[\]():/.-]{0,80}$/), (note) => {
      const letters = (text: string) => text.replace(/[^a-z]/g, '');
      const shown = parseNote(note)
        .flatMap(({ spans }) =>
          spans.map((span) => span.text + (span.kind === 'web' && span.uri !== span.text ? span.uri : '')),
        )
        .join('');
      if (!note.includes('card:')) expect(letters(shown)).toBe(letters(note));
    }),
  );
});
