import { cardPath, fileName, formatDay, uidFromPath, withTabLock } from '.';

const names = [
  { title: 'Ada Lowther', name: 'Ada-Lowther.vcf' },
  { title: 'Brine & Bellows / Organs: "A"', name: 'Brine-Bellows-Organs-A.vcf' },
  { title: '../../etc/passwd', name: 'etc-passwd.vcf' },
  { title: '田中 陽子', name: '田中-陽子.vcf' },
  { title: ' ?*<>| ', name: 'cards.vcf' },
  { title: 'x'.repeat(300), name: `${'x'.repeat(80)}.vcf` },
];
for (const { title, name } of names) {
  test(`the file of “${title.slice(0, 30)}” is called ${name.slice(0, 30)}`, () =>
    expect(fileName(title, 'vcf')).toBe(name));
}

const uids = [
  {
    uid: 'urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af',
    path: '/book/03a0e51f-d1aa-4385-8a53-e29025acd8af',
  },
  { uid: 'imported-1', path: '/book/imported-1' },
  { uid: 'https://example.org/a?b=c&d', path: '/book/https%3A%2F%2Fexample.org%2Fa%3Fb%3Dc%26d' },
  { uid: '田中@example.org', path: '/book/%E7%94%B0%E4%B8%AD%40example.org' },
];
for (const { uid, path } of uids) {
  test(`the card ${uid} has the address ${path}, and the address leads back`, () => {
    expect(cardPath(uid)).toBe(path);
    expect(uidFromPath(decodeURIComponent(path.slice('/book/'.length)))).toBe(uid);
  });
}

test('a day is written as it is read', () => {
  expect(formatDay('2026-11-24T12:00:00Z')).toBe('24 Nov 2026');
});

test('without Web Locks the work is done all the same', async () => {
  expect(await withTabLock('x', () => Promise.resolve(7))).toBe(7);
});
