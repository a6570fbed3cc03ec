/** @jest-environment node */
import { checkHistories } from './history';

/** Histories tried here, as many as in the other file beside this one; HISTORIES=2000 SEED=7 tries more, and others. Fewer on PostgreSQL, whose stores take longer to make. */
const HISTORIES = Number(
  process.env['HISTORIES'] ?? (process.env['CORDIALIS_TEST_STORE'] === undefined ? 150 : 20),
);
const SEED = Number(process.env['SEED'] ?? 20261126);

test('whatever devices and browsers do, and whenever they can’t reach the hub, all come to the same book and nothing written is lost', async () => {
  await checkHistories(HISTORIES, SEED);
}, 3_600_000);
