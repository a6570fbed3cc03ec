import { sql } from 'kysely';

import { mayDo, type Role } from '@/core/directory';
import { ROLES } from '@/core/directory/directoryEntry';
import { DIRECTORY_ACTS } from '@/core/directory/mayDo';
import { makeCode, pairBrowser } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

import { directoryApi } from './directoryApi';

let hub: TestHub;
let nowMs = Date.parse(TEST_NOW);
let uids = 0;
const PASSPHRASE = 'harbour lights at nine';

beforeEach(async () => {
  nowMs = Date.parse(TEST_NOW);
  const utcNow = () => new Date(nowMs).toISOString().replace('.000', '');
  hub = await startTestHub((app, db) => {
    app.use('/api/directory', directoryApi(db, { utcNow, newUid: () => `new-${(uids += 1)}` }));
  }, utcNow);
});
afterEach(() => hub.stop());

interface Asked {
  readonly method?: string;
  readonly token?: string | undefined;
  readonly bearer?: string;
  readonly body?: unknown;
  readonly origin?: string;
}

async function ask(path: string, { method = 'GET', token, bearer, body, origin }: Asked = {}) {
  const response = await fetch(`${hub.base}/api/directory${path}`, {
    method,
    headers: {
      ...(token === undefined ? {} : { Authorization: `Directory ${token}` }),
      ...(bearer === undefined ? {} : { Authorization: `Bearer ${bearer}` }),
      ...(origin === undefined ? {} : { Origin: origin }),
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await response.text();
  const isJson = response.headers.get('content-type')?.includes('json') === true;
  return {
    status: response.status,
    text, // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each test knows what it asked for
    json: (isJson ? JSON.parse(text) : undefined) as any,
  };
}

const enter = async (name: string): Promise<string> =>
  (await ask('/session', { method: 'POST', body: { name, passphrase: PASSPHRASE } })).json.token;

/** An administrator, an editor and a reader, each signed in. */
async function everybody(): Promise<Record<Role, string>> {
  const paired = await pairBrowser(
    hub.db,
    { code: await makeCode(hub.db, Date.now()), name: 'Own' },
    Date.now(),
  );
  const first = { name: 'administrator', passphrase: PASSPHRASE };
  await ask('/first', { method: 'POST', bearer: paired?.token ?? '', body: first });
  const administrator = await enter('administrator');
  for (const role of ['editor', 'reader'])
    await ask('/users', {
      method: 'POST',
      token: administrator,
      body: { name: role, passphrase: PASSPHRASE, role },
    });
  return { administrator, editor: await enter('editor'), reader: await enter('reader') };
}

const entry = (uid: string, full: string, more: object = {}) => ({
  ...{ card: testPerson(uid, full), isInside: false, isHidden: false },
  ...more,
});

/** A request for each act; what needs an entry speaks of one that is there. */
const REQUESTS: Record<(typeof DIRECTORY_ACTS)[number], readonly [path: string, asked: Asked][]> = {
  read: [
    ['/entries', {}],
    ['/entries?q=ada', {}],
    ['/entries/ada', {}],
  ],
  export: [
    ['/export/ldif', {}],
    ['/export/vcard', {}],
  ],
  edit: [
    ['/entries/new', { method: 'PUT', body: entry('new', 'New One') }],
    ['/entries/ada', { method: 'PUT', body: entry('ada', 'Ada Quill') }],
    ['/entries/ada', { method: 'DELETE' }],
  ],
  import: [
    ['/import', { method: 'POST', body: { csv: 'Name\nZora Quast', isInside: false, isToApply: true } }],
    ['/import', { method: 'POST', body: { csv: 'Name\nZora Quast', isInside: false, isToApply: false } }],
  ],
  seeHidden: [['/entries/hidden', {}]],
  readLog: [['/log', {}]],
  manageUsers: [
    ['/users', {}],
    ['/users', { method: 'POST', body: { name: 'more', passphrase: PASSPHRASE, role: 'administrator' } }],
    ['/users/reader', { method: 'PATCH', body: { role: 'administrator' } }],
    ['/users/editor', { method: 'PATCH', body: { passphrase: 'something else entirely' } }],
    ['/users/editor', { method: 'DELETE' }],
  ],
};

test('every act that a role may not do is refused and does nothing, without a session all are', async () => {
  const tokens = await everybody();
  const put = (one: ReturnType<typeof entry>) =>
    ask(`/entries/${one.card.uid}`, { method: 'PUT', token: tokens.administrator, body: one });
  await put(entry('ada', 'Ada Lowther'));
  await put(entry('hidden', 'Bo Ek', { isHidden: true }));
  const stateNow = async () => {
    const rows = await Promise.all([
      hub.db.selectFrom('directoryUsers').select(['name', 'role', 'hash']).execute(),
      hub.db.selectFrom('directoryEntries').selectAll().execute(),
      hub.db.selectFrom('directoryLog').selectAll().execute(),
    ]);
    return JSON.stringify(rows);
  };
  const before = await stateNow();
  let refused = 0;
  for (const role of [...ROLES, undefined])
    for (const act of DIRECTORY_ACTS) {
      if (role !== undefined && mayDo(role, act)) continue;
      for (const [path, asked] of REQUESTS[act]) {
        const { status } = await ask(path, { ...asked, token: role && tokens[role] });
        const wanted = role === undefined ? 401 : act === 'seeHidden' ? 404 : 403;
        expect([role, path, asked.method, status]).toEqual([role, path, asked.method, wanted]);
        refused += 1;
      }
    }
  expect(refused).toBeGreaterThan(25);
  expect(await stateNow()).toBe(before);
  // What is allowed is done: the same requests by the administrator.
  for (const act of DIRECTORY_ACTS)
    for (const [path, asked] of REQUESTS[act])
      expect((await ask(path, { ...asked, token: tokens.administrator })).status).toBeLessThan(300);
});

test('of many wrong passphrases at once only five are looked at', async () => {
  await everybody();
  const statuses = await Promise.all(
    Array.from({ length: 60 }, async (_, i) => {
      const body = { name: 'reader', passphrase: `wrong passphrase ${i}` };
      return (await ask('/session', { method: 'POST', body })).status;
    }),
  );
  expect(statuses.filter((status) => status !== 429)).toHaveLength(5);
});

test('a passphrase signs in, a wrong one and an unknown name say the same, too many have to wait', async () => {
  await everybody();
  const enterWith = (name: string, passphrase: string) =>
    ask('/session', { method: 'POST', body: { name, passphrase } });
  const [wrong, nobody] = [await enterWith('reader', 'x'), await enterWith('nobody', 'x')];
  expect([wrong.status, wrong.text]).toEqual([nobody.status, nobody.text]);
  for (let i = 0; i < 4; i += 1) await enterWith('reader', 'x');
  expect((await enterWith('reader', PASSPHRASE)).status).toBe(429);
  nowMs += 6 * 60 * 1000;
  const { status, json } = await enterWith('reader', PASSPHRASE);
  expect([status, json.role]).toEqual([200, 'reader']);
  expect((await ask('/session', { token: json.token })).json).toEqual({ name: 'reader', role: 'reader' });
  // A working day later it is over, and so it is after signing out.
  nowMs += 13 * 3600 * 1000;
  expect((await ask('/session', { token: json.token })).status).toBe(401);
  const again = await enter('reader');
  await ask('/session', { method: 'DELETE', token: again });
  expect((await ask('/session', { token: again })).status).toBe(401);
});

test('the first administrator is made by a paired browser only, once', async () => {
  const body = { name: 'me', passphrase: PASSPHRASE };
  expect((await ask('/first', { method: 'POST', body })).status).toBe(401);
  const tokens = await everybody();
  const paired = await pairBrowser(
    hub.db,
    { code: await makeCode(hub.db, Date.now()), name: 'B' },
    Date.now(),
  );
  expect((await ask('/first', { method: 'POST', bearer: paired?.token ?? '', body })).status).toBe(409);
  expect((await ask('/state')).json).toEqual({ hasUsers: true });
  const { administrator: token } = tokens;
  const short = await ask('/users', {
    method: 'POST',
    token,
    body: { name: 'x', passphrase: 'short', role: 'reader' },
  });
  expect([short.status, short.json.error]).toEqual([400, 'a passphrase has 12 letters at least']);
  expect((await ask('/users/administrator', { method: 'DELETE', token })).status).toBe(409);
  const lower = await ask('/users/administrator', { method: 'PATCH', token, body: { role: 'reader' } });
  expect(lower.status).toBe(409);
});

test('whoever leaves takes nothing along: entries and log stay, with their name', async () => {
  const { administrator, editor } = await everybody();
  await ask('/entries/ada', { method: 'PUT', token: editor, body: entry('ada', 'Ada Lowther') });
  await ask('/users/editor', { method: 'DELETE', token: administrator });
  expect((await ask('/session', { token: editor })).status).toBe(401);
  expect((await ask('/entries/ada', { token: administrator })).json.card.uid).toBe('ada');
  const log = (await ask('/log', { token: administrator })).json;
  expect(log.find(({ uid }: { uid: string }) => uid === 'ada')).toMatchObject({
    who: 'editor',
    says: 'Added Ada Lowther',
  });
});

test('no line of the log can be changed or deleted, not even in the store', async () => {
  await everybody();
  await expect(sql`update "directoryLog" set says = 'nothing'`.execute(hub.db)).rejects.toThrow(
    'is not changed',
  );
  await expect(sql`delete from "directoryLog"`.execute(hub.db)).rejects.toThrow('is not changed');
});

test('readers find who is in force and not hidden, by any word; the file has the same', async () => {
  const { editor, reader } = await everybody();
  const all = [
    entry('ada', 'Ada Lowther'),
    entry('bo', 'Bo Lowther', { isHidden: true }),
    entry('cy', 'Cy Lowther', { validFrom: '2027-01-01' }),
    entry('du', 'Du Lowther', { validTo: '2026-11-25' }),
    entry('ed', 'Ed Lowther', { validFrom: '2026-11-26', validTo: '2026-11-26' }),
  ];
  for (const one of all) await ask(`/entries/${one.card.uid}`, { method: 'PUT', token: editor, body: one });
  const found = async (token: string, path: string) =>
    (await ask(path, { token })).json.map(({ card }: ReturnType<typeof entry>) => card.uid).sort();
  expect(await found(reader, '/entries?q=lowth')).toEqual(['ada', 'ed']);
  expect(await found(reader, '/entries')).toEqual(['ada', 'ed']);
  expect(await found(editor, '/entries?q=lowth')).toEqual(['ada', 'bo', 'cy', 'du', 'ed']);
  const { text } = await ask('/export/ldif', { token: reader });
  expect(text.match(/^dn: /gm)).toHaveLength(2);
  expect((await ask('/export/vcard', { token: reader })).text.match(/^BEGIN:VCARD/gm)).toHaveLength(2);
});

test('a table is looked at first, then taken in; rows that can’t be read are named', async () => {
  const { editor } = await everybody();
  const csv = 'Name,E-mail,Company\nAda Lowther,ada@example.org,Quay Strings\nBo Ek,bo@example.org,\n';
  const take = async (text: string, isToApply: boolean) =>
    (await ask('/import', { method: 'POST', token: editor, body: { csv: text, isInside: true, isToApply } }))
      .json;
  expect(await take(csv, false)).toMatchObject({ fresh: ['Ada Lowther', 'Bo Ek'], changed: [], same: 0 });
  expect((await ask('/entries', { token: editor })).json).toEqual([]);
  await take(csv, true);
  expect(await take(csv, true)).toMatchObject({ fresh: [], changed: [], same: 2 });
  const moved = await take(csv.replace('Quay Strings', 'Brine & Bellows'), true);
  expect(moved).toMatchObject({ fresh: [], changed: ['Ada Lowther'], same: 1 });
  const [ada] = (await ask('/entries?q=ada', { token: editor })).json;
  expect(Object.values(ada.card.organizations)).toMatchObject([{ name: 'Brine & Bellows' }]);
  expect(ada.isInside).toBe(true);
});

const unusable: { name: string; path: string; asked: Asked; status: number }[] = [
  {
    name: 'a card with another uid',
    path: '/entries/bo',
    asked: { method: 'PUT', body: entry('ada', 'Ada') },
    status: 400,
  },
  {
    name: 'no card at all',
    path: '/entries/x',
    asked: { method: 'PUT', body: { isInside: true } },
    status: 400,
  },
  {
    name: 'an entry without a name',
    path: '/entries/x',
    asked: { method: 'PUT', body: entry('x', '') },
    status: 400,
  },
  {
    name: 'a day that is none',
    path: '/entries/x',
    asked: { method: 'PUT', body: entry('x', 'X', { validTo: '31 May' }) },
    status: 400,
  },
  { name: 'a path out of its place', path: '/export/..%2f..%2fhub.db', asked: {}, status: 404 },
  { name: 'somebody who isn’t there', path: '/entries/nobody', asked: { method: 'DELETE' }, status: 404 },
  { name: 'a page elsewhere', path: '/entries', asked: { origin: 'https://elsewhere.example' }, status: 403 },
  {
    name: 'a body that is too large',
    path: '/import',
    asked: { method: 'POST', body: { csv: 'x'.repeat(7_000_000) } },
    status: 413,
  },
];
test('what is unusable is refused in words', async () => {
  const { administrator: token } = await everybody();
  for (const { name, path, asked, status } of unusable)
    expect([name, (await ask(path, { ...asked, token })).status]).toEqual([name, status]);
});
