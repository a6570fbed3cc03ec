import { readFileSync } from 'node:fs';
import type { Server } from 'node:https';
import { createSecureContext } from 'node:tls';

import { faultOf, type HubLog } from '@/hub/base';

import type { Tls } from './readTls';

/** How often the files are looked at, in milliseconds. */
const LOOK_MS = 60_000;

/**
 * Takes a renewed certificate into use without a restart. Where the files are gone or don't fit each other, what is in use
 * stays so, and it is said.
 *
 * @param say - told in words what can't be used
 * @returns stops looking
 */
export function followCertificate(
  server: Pick<Server, 'setSecureContext'>,
  { certFile, keyFile, ...first }: Tls,
  {
    log,
    say,
    everyMs = LOOK_MS,
  }: { readonly log: HubLog; say(words: string): void; readonly everyMs?: number },
): () => void {
  let last = `${first.cert}\n${first.key}`;
  const look = () => {
    let now: string;
    try {
      const [cert, key] = [readFileSync(certFile, 'utf8'), readFileSync(keyFile, 'utf8')];
      now = `${cert}\n${key}`;
      if (now === last) return;
      // Fails where key and certificate don't belong together, as they may not while they are being renewed.
      createSecureContext({ cert, key });
      server.setSecureContext({ cert, key });
      log.info('the certificate was read anew');
    } catch (error) {
      const fault = faultOf(error);
      now = `${fault.name} ${fault.code}`;
      if (now === last) return;
      log.error({ fault }, 'the certificate can’t be used');
      say(
        `The certificate in ${certFile} can’t be used any more; the one from before stays in use until the hub is restarted.`,
      );
    }
    last = now;
  };
  const timer = setInterval(look, everyMs);
  timer.unref();
  return () => clearInterval(timer);
}
