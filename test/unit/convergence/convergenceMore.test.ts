/** @jest-environment node */
import { checkHistories } from './history';

/** In a file of its own, so that a second processor has something to do. */
const HISTORIES = Number(process.env['HISTORIES'] ?? 150);
const SEED = Number(process.env['SEED'] ?? 20261126) + 1;

test('other histories come to the same book as well', async () => {
  await checkHistories(HISTORIES, SEED);
}, 3_600_000);
