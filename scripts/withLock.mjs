// One command at a time does what two at once would spoil: installing packages, building.
import { mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { ROOT } from './root.mjs';

/** How long one waits before it looks again, in milliseconds. */
const WAIT_MS = 200;

/** How long a lock may stand without the name of its process before it counts as left behind, in milliseconds. */
const NAMELESS_MS = 10_000;

/**
 * Runs work while no other command in this project runs work of that name; the others wait. A command that was ended in
 * the middle leaves its lock behind, which is taken over once its process is gone.
 */
export async function withLock(name, work) {
  const lock = join(ROOT, `.lock-${name}`);
  let hasSaid = false;
  while (!take(lock)) {
    if (!hasSaid) console.error(`Waiting for another command that is working on the same (${name}) …`);
    hasSaid = true;
    await new Promise((resolve) => setTimeout(resolve, WAIT_MS));
  }
  try {
    return await work();
  } finally {
    rmSync(lock, { recursive: true, force: true });
  }
}

/** Making a folder either succeeds or fails for everybody at once, which writing a file doesn't. */
function take(lock) {
  try {
    mkdirSync(lock);
  } catch {
    const owner = ownerOf(lock);
    if (owner !== undefined && isGone(owner)) giveBack(lock, owner);
    return false;
  }
  writeFileSync(join(lock, 'pid'), String(process.pid));
  return true;
}

/** The process that holds a lock; 0 for one that was ended before it had said so, undefined where it is being taken or left. */
function ownerOf(lock) {
  try {
    return Number(readFileSync(join(lock, 'pid'), 'utf8'));
  } catch {
    const made = statSync(lock, { throwIfNoEntry: false })?.mtimeMs;
    return made !== undefined && Date.now() - made > NAMELESS_MS ? 0 : undefined;
  }
}

function isGone(pid) {
  if (pid === 0) return true;
  try {
    process.kill(pid, 0);
    return false;
  } catch (error) {
    return error.code !== 'EPERM';
  }
}

/** Moved aside first: whoever else finds the same dead lock must not take away the one that has just been taken instead. */
function giveBack(lock, owner) {
  const aside = `${lock}-${process.pid}`;
  try {
    renameSync(lock, aside);
  } catch {
    return;
  }
  if ((ownerOf(aside) ?? owner) === owner) rmSync(aside, { recursive: true, force: true });
  else renameSync(aside, lock);
}
