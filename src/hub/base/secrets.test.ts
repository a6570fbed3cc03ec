/** @jest-environment node */
import { scryptSync } from 'node:crypto';

import { deriveKey, isOutdated, isSecret, keepSecret } from './secrets';

test('a secret is verified by what is kept of it, and no other is', async () => {
  const kept = await keepSecret('a good passphrase');
  expect(kept.hash).toMatch(/^scrypt\$16384\$8\$5\$[0-9a-f]{64}$/);
  expect(await isSecret('a good passphrase', kept)).toBe(true);
  expect(await isSecret('a good passphrasE', kept)).toBe(false);
  expect(await isSecret('', undefined)).toBe(false);
  expect(isOutdated(kept)).toBe(false);
});

test('what was kept before the cost was said is verified still, and is to be kept anew', async () => {
  const kept = { salt: 'aa', hash: scryptSync('old', 'aa', 32).toString('hex') };
  expect([await isSecret('old', kept), await isSecret('new', kept), isOutdated(kept)]).toEqual([
    true,
    false,
    true,
  ]);
});

test('RFC 7914 §12: the third test vector', async () => {
  const key = '7023bdcb3afd7348461c06cd81fd38ebfda8fbba904f8e3ea9b543f6545da1f2';
  expect(await isSecret('pleaseletmein', { salt: 'SodiumChloride', hash: `scrypt$16384$8$1$${key}` })).toBe(
    true,
  );
});

test('a derivation that fails keeps nobody behind it from theirs', async () => {
  const [bad, good] = await Promise.allSettled([
    deriveKey('a', 'b', { N: 3, r: 8, p: 1 }),
    deriveKey('', '', { N: 16, r: 1, p: 1 }),
  ]);
  expect(bad.status).toBe('rejected');
  // RFC 7914 §12: the first test vector.
  expect(good.status === 'fulfilled' && good.value.toString('hex')).toBe(
    '77d6576238657b203b19ca42c18a0497f16b4844e3074ae8dfdffa3fede21442',
  );
});
