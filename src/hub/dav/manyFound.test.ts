/** @jest-environment node */
// A query that finds more than the hub tells at once (RFC 6352 §8.6.2). Its limit is made small here; it is 5,000.
import { putCard } from '@/hub/store';
import { addDevice } from '@/hub/sync';
import { startTestHub, TEST_NOW, testPerson } from '@/hub/testing';

jest.mock('./names', () => ({ ...jest.requireActual<object>('./names'), MAX_FOUND: 120 }));

const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';

test.each([
  [119, 119, false],
  [120, 120, false],
  [121, 120, true],
  [300, 120, true],
])('of %i cards that match %i are told, and that there are more: %s', async (count, told, isCut) => {
  const hub = await startTestHub();
  const phone = await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  for (let i = 0; i < count + 2; i += 1) {
    const uid = `urn:uuid:00000000-0000-4000-8000-${String(i).padStart(12, '0')}`;
    const name = i < count ? `Quast ${i}` : `Lowther ${i}`;
    await putCard(hub.db, uid, testPerson(uid, name), { at: TEST_NOW, device: null, says: 'put' });
  }
  const response = await fetch(`${hub.base}/dav/books/${phone.user}/cards/`, {
    method: 'REPORT',
    headers: {
      Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`,
      ...{ 'Content-Type': 'application/xml', Depth: '1' },
    },
    body: `<c:addressbook-query ${XML}><d:prop><d:getetag/></d:prop><c:filter><c:prop-filter name="FN"><c:text-match>quast</c:text-match></c:prop-filter></c:filter></c:addressbook-query>`,
  });
  const text = await response.text();
  expect(response.status).toBe(207);
  expect(text.match(/<d:getetag>/g)).toHaveLength(told);
  expect(text.includes('507 Insufficient Storage')).toBe(isCut);
  expect(text.includes('<d:number-of-matches-within-limits')).toBe(isCut);
  // What says so is the collection itself.
  expect(text.includes(`<d:href>/dav/books/${phone.user}/cards/</d:href><d:status>`)).toBe(isCut);
  await hub.stop();
});
