import { openTestBook } from '@/book/testing';

import {
  cardsTo,
  dropDraft,
  emptyDraft,
  keepDraft,
  readDraft,
  readDrafts,
  saveDraft,
  writeTo,
} from './draft';

test('messages are laid aside, the latest first, gone on with and forgotten', async () => {
  const { store } = openTestBook();
  store.dispatch(saveDraft({ ...emptyDraft, subject: 'First' }));
  store.dispatch(saveDraft({ ...emptyDraft, body: 'Second' }));
  const drafts = await store.dispatch(readDrafts());
  expect(drafts.map(({ draft }) => draft.subject || draft.body)).toEqual(['Second', 'First']);
  await store.dispatch(dropDraft(drafts[0]?.id ?? ''));
  expect(await store.dispatch(readDrafts())).toHaveLength(1);
});

test('a message with nothing in it is not laid aside', async () => {
  const { store } = openTestBook();
  store.dispatch(saveDraft({ ...emptyDraft, subject: '  ', isEach: true }));
  expect(await store.dispatch(readDrafts())).toEqual([]);
});

test('the message being written is none of those laid aside, and is addressed to nobody twice', async () => {
  const { store } = openTestBook();
  store.dispatch(keepDraft({ ...emptyDraft, subject: 'Now' }));
  await store.dispatch(writeTo(cardsTo(['ada', 'bo'])));
  await store.dispatch(writeTo(cardsTo(['bo'])));
  expect(await store.dispatch(readDrafts())).toEqual([]);
  expect(await store.dispatch(readDraft())).toMatchObject({ subject: 'Now', to: cardsTo(['ada', 'bo']) });
});
