import { readFileSync } from 'node:fs';

/** How the hub is reached from other machines. */
export interface Tls {
  readonly cert: string;
  /** Where it was read. */
  readonly certFile: string;
  readonly key: string;
  readonly keyFile: string;
  /** The name in the certificate, under which other machines know this one. */
  readonly name: string;
  readonly port: number;
}

const DEFAULT_PORT = 4871;

/**
 * The certificate that is to be used, from CORDIALIS_CERT, CORDIALIS_KEY (files in PEM), CORDIALIS_NAME and
 * CORDIALIS_TLS_PORT. Without one the hub answers this machine only, as passwords don't go over a network in the clear.
 *
 * @throws Error in words where something of it is missing
 */
export function readTls(env: Readonly<Record<string, string | undefined>>): Tls | undefined {
  const { CORDIALIS_CERT: cert, CORDIALIS_KEY: key, CORDIALIS_NAME: name } = env;
  if (cert === undefined && key === undefined) return undefined;
  if (cert === undefined || key === undefined || name === undefined)
    throw new Error('TLS needs all three: CORDIALIS_CERT, CORDIALIS_KEY and CORDIALIS_NAME');
  const port = Number(env['CORDIALIS_TLS_PORT'] ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error('CORDIALIS_TLS_PORT must be a number from 0 to 65535');
  return {
    ...{ cert: readPem(cert), certFile: cert, key: readPem(key), keyFile: key },
    ...{ name, port },
  };
}

function readPem(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    throw new Error(`${file} can't be read; it is named by CORDIALIS_CERT or CORDIALIS_KEY`);
  }
}

/** How the hub is reached through a proxy: CORDIALIS_TRUST_PROXY says how many there are, or their addresses. */
export function readProxy(env: Readonly<Record<string, string | undefined>>): number | string | undefined {
  const said = env['CORDIALIS_TRUST_PROXY']?.trim();
  if (said === undefined || said === '') return undefined;
  return /^\d+$/.test(said) ? Number(said) : said;
}
