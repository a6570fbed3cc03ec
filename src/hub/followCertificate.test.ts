/** @jest-environment node */
import { copyFileSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';

import { NO_LOG } from '@/hub/base';

import { followCertificate } from './followCertificate';
import { readTls } from './readTls';

// Made for these tests, for hub.example: openssl req -x509 -newkey rsa:2048 -nodes.
const FIXTURES = 'test/fixtures/tls';
const folder = mkdtempSync(join(tmpdir(), 'cordialis-certificate-'));
const [certFile, keyFile] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
const give = (cert: string, key: string) => {
  copyFileSync(join(FIXTURES, key), keyFile);
  copyFileSync(join(FIXTURES, cert), certFile);
};
let server: Server;
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** The certificate that is shown now. */
function shown(): Promise<string> {
  const { port } = server.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const socket = connect(
      { port, host: '127.0.0.1', servername: 'hub.example', rejectUnauthorized: false },
      () => {
        resolve(socket.getPeerX509Certificate()?.fingerprint256 ?? '');
        socket.destroy();
      },
    ).on('error', reject);
  });
}

async function until(is: () => Promise<boolean> | boolean): Promise<void> {
  while (!(await is())) await new Promise((resolve) => setTimeout(resolve, 5));
}

test('a renewed certificate is taken up while the hub runs; one that is half renewed or gone is not, and it is said', async () => {
  give('cert.pem', 'key.pem');
  const tls = readTls({ CORDIALIS_CERT: certFile, CORDIALIS_KEY: keyFile, CORDIALIS_NAME: 'hub.example' });
  if (!tls) throw new Error('no certificate was read');
  server = createServer({ cert: tls.cert, key: tls.key });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const said: string[] = [];
  const stop = followCertificate(server, tls, {
    log: NO_LOG,
    say: (words) => void said.push(words),
    everyMs: 10,
  });
  const first = await shown();
  // A new certificate with the old key.
  copyFileSync(join(FIXTURES, 'renewed-cert.pem'), certFile);
  await until(() => said.length === 1);
  expect(await shown()).toBe(first);
  give('renewed-cert.pem', 'renewed-key.pem');
  await until(async () => (await shown()) !== first);
  const second = await shown();
  rmSync(certFile);
  await until(() => said.length === 2);
  expect(said[1]).toMatch(/can’t be used any more; the one from before stays in use/);
  expect(await shown()).toBe(second);
  // Said once, and not with every look.
  await new Promise((resolve) => setTimeout(resolve, 60));
  expect(said).toHaveLength(2);
  stop();
});

test('a file that isn’t there is named at the start', () => {
  const env = {
    CORDIALIS_CERT: join(folder, 'none.pem'),
    CORDIALIS_KEY: keyFile,
    CORDIALIS_NAME: 'hub.example',
  };
  expect(() => readTls(env)).toThrow(/none.pem can't be read/);
  expect(readFileSync(keyFile, 'utf8')).toContain('PRIVATE KEY');
});
