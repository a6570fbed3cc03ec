import { openTestBook } from '@/book/testing';

import { type PostsRead, readPosts } from './readPosts';

const FEED = { title: 'Quay', posts: [], uri: 'https://quay.example/feed' };
const realFetch = global.fetch;
afterEach(() => (global.fetch = realFetch));

/** A hub that answers with a feed, or with a fault; says how often it was asked. */
function answerWith(answer: { readonly feed?: unknown; readonly error?: string }) {
  const asked: string[] = [];
  global.fetch = ((address: string) => {
    asked.push(address);
    const body = JSON.stringify(answer.feed ?? { error: answer.error });
    const status = answer.feed === undefined ? 422 : 200;
    return Promise.resolve({
      ...{ ok: status === 200, status, headers: { get: () => 'application/json' } },
      json: () => Promise.resolve(JSON.parse(body)),
    });
  }) as unknown as typeof fetch;
  return asked;
}

async function open() {
  let now = 0;
  const { store, writer } = openTestBook(undefined, undefined, { nowMs: () => now });
  const read = async (address: string) => {
    const reads: PostsRead[] = [];
    await store.dispatch(readPosts('ada', address, (one) => reads.push(one)));
    await writer.flush();
    return reads;
  };
  return { read, later: (ms: number) => (now += ms) };
}

test('posts are asked for once an hour, and shown from the store meanwhile', async () => {
  const { read, later } = await open();
  const asked = answerWith({ feed: FEED });
  expect(await read('https://quay.example')).toEqual([{ feed: FEED }]);
  later(60_000);
  expect(await read('https://quay.example')).toEqual([{ feed: FEED }]);
  expect(asked).toEqual(['/api/feeds?address=https%3A%2F%2Fquay.example']);
  later(3_600_000);
  expect(await read('https://quay.example')).toEqual([{ feed: FEED }, { feed: FEED }]);
  expect(asked).toHaveLength(2);
});

test('where they can’t be looked for, those that are kept stay, and why is said', async () => {
  const { read, later } = await open();
  answerWith({ feed: FEED });
  await read('https://quay.example');
  later(4_000_000);
  answerWith({ error: 'quay.example answered 410' });
  expect(await read('https://quay.example')).toEqual([
    { feed: FEED },
    { feed: FEED, fault: 'quay.example answered 410' },
  ]);
});

test('what is kept of one address is not shown for another', async () => {
  const { read } = await open();
  answerWith({ feed: FEED });
  await read('https://quay.example');
  answerWith({ error: 'no feed' });
  expect(await read('https://other.example')).toEqual([{ feed: undefined, fault: 'no feed' }]);
});
