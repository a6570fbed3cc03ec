import { act } from 'react';

import { changeBook } from '@/book/commit';
import { put } from '@/book/testing';
import { newCard } from '@/core/card';

import { renderInBook } from '../../../test/unit/renderInBook';
import { useAnswer } from './useAnswer';

const cardOf = (uid: string) => ({ ...newCard(uid, '2026-01-01T00:00:00Z'), name: { full: uid } });

/** Questions that are answered by hand, in any order. */
function asking() {
  const open: { question: string; answer: (text: string) => void }[] = [];
  const ask = (question: string) =>
    new Promise<string>((resolve) => open.push({ question, answer: resolve }));
  return { open, ask, answer: (i: number, text: string) => act(async () => open[i]?.answer(text)) };
}

function Asked({
  question,
  ask,
}: {
  question: string;
  ask: ((question: string) => Promise<string>) | undefined;
}) {
  const answer = useAnswer(question, ask && (() => ask(question)));
  return <div role="status">{answer ? `${answer.key}: ${answer.value}` : 'nothing'}</div>;
}

test('asked again after a change; an earlier answer is shown until the newest, and none that is older than it', async () => {
  const { open, ask, answer } = asking();
  const drawn = await renderInBook(<Asked question="who" ask={ask} />, [cardOf('a')]);
  const says = () => drawn.get('status').textContent;
  const change = (uid: string) =>
    act(() => drawn.store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(cardOf(uid)) })));
  await change('b');
  await change('c');
  expect(open.map(({ question }) => question)).toEqual(['who', 'who', 'who']);
  await answer(0, 'a');
  expect(says()).toBe('who: a');
  await answer(2, 'a, b, c');
  await answer(1, 'a, b');
  expect(says()).toBe('who: a, b, c');
});

test('an answer to another question is not shown, and none is asked where there is none', async () => {
  const { open, ask, answer } = asking();
  const drawn = await renderInBook(<Asked question="who" ask={ask} />);
  drawn.redraw(<Asked question="where" ask={ask} />);
  await answer(0, 'a');
  expect(drawn.get('status').textContent).toBe('nothing');
  await answer(1, 'here');
  expect(drawn.get('status').textContent).toBe('where: here');
  drawn.redraw(<Asked question="" ask={undefined} />);
  expect(open).toHaveLength(2);
});
