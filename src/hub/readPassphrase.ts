import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';

import { MIN_PASSPHRASE } from '@/hub/base';

/**
 * The passphrase of a backup: CORDIALIS_PASSPHRASE, or what somebody types, which isn't shown.
 *
 * @throws RangeError in words where there is none, or it is too short
 */
export async function readPassphrase(
  env: Readonly<Record<string, string | undefined>>,
  isNew: boolean,
): Promise<string> {
  const given = env['CORDIALIS_PASSPHRASE'] ?? (process.stdin.isTTY ? await ask(isNew) : undefined);
  if (given === undefined)
    throw new RangeError('a backup has a passphrase: set CORDIALIS_PASSPHRASE, or call this in a terminal');
  if (isNew && [...given].length < MIN_PASSPHRASE)
    throw new RangeError(`a passphrase has ${MIN_PASSPHRASE} letters at least`);
  return given;
}

async function ask(isNew: boolean): Promise<string> {
  const once = await typed('Passphrase of the backup: ');
  if (isNew && (await typed('Once more: ')) !== once) throw new RangeError('the two are not the same');
  return once;
}

function typed(question: string): Promise<string> {
  process.stderr.write(question);
  const nowhere = new Writable({ write: (_, __, done) => done() });
  const lines = createInterface({ input: process.stdin, output: nowhere, terminal: true });
  return new Promise((resolve) =>
    lines.question('', (answer) => {
      lines.close();
      process.stderr.write('\n');
      resolve(answer);
    }),
  );
}
