/** @jest-environment node */
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { takeCalendars } from '@/hub/store';
import { makeCode, pairBrowser } from '@/hub/sync';
import { startTestHub, type TestHub } from '@/hub/testing';

import { calendarApi, calendarFeed } from './calendarApi';

const TOKEN = '0123456789abcdef0123456789abcdef';
const TEXT = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n';
let hub: TestHub;
let url: string;
let browser = '';
beforeAll(async () => {
  hub = await startTestHub((app, db) =>
    app.use('/api/calendar', calendarApi(db)).use('/calendar', calendarFeed(db)),
  );
  url = hub.base;
  const code = await makeCode(hub.db, Date.now());
  browser = (await pairBrowser(hub.db, { code, name: 'Firefox' }, Date.now()))?.token ?? '';
});
afterAll(() => hub.stop());

const put = (token: string, body: string, type = 'text/calendar') =>
  fetch(`${url}/api/calendar/${token}`, {
    method: 'PUT',
    body,
    headers: { 'Content-Type': type, Authorization: `Bearer ${browser}` },
  });

const kept = () => hub.db.selectFrom('calendars').selectAll().execute();

test('a calendar that was put is served under its address, as a calendar, until it is taken away', async () => {
  expect((await put(TOKEN, TEXT)).status).toBe(204);
  const served = await fetch(`${url}/calendar/${TOKEN}.ics`);
  expect(served.headers.get('content-type')).toBe('text/calendar; charset=utf-8');
  expect(await served.text()).toBe(TEXT);
  await fetch(`${url}/api/calendar/${TOKEN}`, { method: 'DELETE' });
  expect((await fetch(`${url}/calendar/${TOKEN}.ics`)).status).toBe(404);
});

const refused = [
  { name: 'a short address', token: 'abc', body: TEXT },
  { name: 'an address that leads elsewhere', token: '..%2f..%2fpasswd', body: TEXT },
  { name: 'a text that is no calendar', token: TOKEN, body: '<html>' },
  { name: 'another kind of file', token: TOKEN, body: TEXT, type: 'text/plain' },
];
for (const { name, token, body, type } of refused) {
  test(`${name} is refused, and nothing is written`, async () => {
    expect((await put(token, body, type)).status).toBe(400);
    expect(await kept()).toEqual([]);
  });
}

test('nobody puts a calendar but a paired browser, and no other page', async () => {
  const send = (headers: Record<string, string>) =>
    fetch(`${url}/api/calendar/${TOKEN}`, {
      method: 'PUT',
      body: TEXT,
      headers: { 'Content-Type': 'text/calendar', ...headers },
    });
  const statuses = [
    await send({}),
    await send({ Authorization: `Bearer ${'x'.repeat(43)}` }),
    await send({ Authorization: `Bearer ${browser}`, Origin: 'https://elsewhere.example' }),
  ].map(({ status }) => status);
  expect(statuses).toEqual([401, 401, 403]);
  expect(await kept()).toEqual([]);
});

test('calendars that lie in files come into the store once, and nothing else does', async () => {
  const folder = join(hub.folder, 'calendars');
  mkdirSync(folder);
  writeFileSync(join(folder, `${TOKEN}.ics`), TEXT);
  writeFileSync(join(folder, 'notes.txt'), 'mine');
  for (let start = 0; start < 2; start += 1) await takeCalendars(hub.db, folder);
  expect(await kept()).toEqual([{ token: TOKEN, text: TEXT }]);
  expect(readdirSync(folder)).toEqual(['notes.txt']);
  expect(await (await fetch(`${url}/calendar/${TOKEN}.ics`)).text()).toBe(TEXT);
  await fetch(`${url}/api/calendar/${TOKEN}`, { method: 'DELETE' });
});

test('only so many calendars are kept', async () => {
  const tokens = Array.from({ length: 21 }, (_, i) => i.toString(16).padStart(32, '0'));
  const statuses: number[] = [];
  for (const token of tokens) statuses.push((await put(token, TEXT)).status);
  expect(statuses.filter((status) => status === 204)).toHaveLength(20);
  expect(statuses.at(-1)).toBe(409);
});
