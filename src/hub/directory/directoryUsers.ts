import { createHash, randomBytes } from 'node:crypto';

import type { Selectable } from 'kysely';

import type { Role } from '@/core/directory';
import { isOutdated, isSecret, keepSecret, MIN_PASSPHRASE } from '@/hub/base';
import {
  type Counted,
  type DirectoryUsersTable,
  type HubDb,
  inTransaction,
  type Limit,
  mayTry,
  wasRight,
} from '@/hub/store';
import { texts } from '@/texts/directory/hub';

import { noteInLog } from './directoryLog';

/** A user, as shown to others. */
export interface DirectoryUser {
  readonly name: string;
  readonly role: Role;
  readonly created: string;
}

/** Who acts, and when. */
export interface Actor {
  readonly name: string;
  /** UTCDateTime. */
  readonly now: string;
}

/** A refused act, explained to whoever asked. */
export class DirectoryError extends Error {
  constructor(
    message: string,
    /** HTTP status. */
    readonly status: 400 | 403 | 404 | 409 | 429,
  ) {
    super(message);
  }
}

const MAX_NAME = 60;

/** All users, in the order they were added. */
export async function listUsers(db: HubDb): Promise<DirectoryUser[]> {
  const rows = await db.selectFrom('directoryUsers').selectAll().orderBy('id').execute();
  return rows.map(({ name, role, created }) => ({ name, role, created }));
}

/** Adds a user. @throws DirectoryError */
export async function addUser(
  db: HubDb,
  {
    name: typed,
    role,
    passphrase,
  }: { readonly name: string; readonly role: Role; readonly passphrase: string },
  by: Actor,
): Promise<void> {
  const name = typed.trim().slice(0, MAX_NAME);
  if (name === '') throw new DirectoryError(texts.nameIsNeeded, 400);
  checkPassphrase(passphrase);
  const kept = await keepSecret(passphrase);
  await inTransaction(db, async (store) => {
    if (await findUser(store, name)) throw new DirectoryError(texts.hasAccessAlready(name), 409);
    await store
      .insertInto('directoryUsers')
      .values({ name, role, ...kept, created: by.now })
      .execute();
    await noteInLog(store, { by, act: 'user', says: texts.gaveAccessAs(name, role) });
  });
}

/** Changes a user's role. There is always an administrator. @throws DirectoryError */
export function changeRole(db: HubDb, name: string, role: Role, by: Actor): Promise<void> {
  return inTransaction(db, async (store) => {
    const user = await getUser(store, name);
    if (role !== 'administrator') await keepOneAdministrator(store, user);
    await store.updateTable('directoryUsers').set({ role }).where('id', '=', user.id).execute();
    await noteInLog(store, { by, act: 'user', says: `Made ${name} ${role}` });
  });
}

/** Changes a user's passphrase and ends their sessions. @throws DirectoryError */
export async function changePassphrase(
  db: HubDb,
  name: string,
  passphrase: string,
  by: Actor,
): Promise<void> {
  checkPassphrase(passphrase);
  const kept = await keepSecret(passphrase);
  await inTransaction(db, async (store) => {
    const user = await getUser(store, name);
    await store.updateTable('directoryUsers').set(kept).where('id', '=', user.id).execute();
    await store.deleteFrom('directorySessions').where('user', '=', user.id).execute();
    await noteInLog(store, { by, act: 'user', says: texts.newPassphraseFor(name) });
  });
}

/** Removes a user; their entries and log lines stay. @throws DirectoryError */
export function removeUser(db: HubDb, name: string, by: Actor): Promise<void> {
  return inTransaction(db, async (store) => {
    const user = await getUser(store, name);
    await keepOneAdministrator(store, user);
    await store.deleteFrom('directorySessions').where('user', '=', user.id).execute();
    await store.deleteFrom('directoryUsers').where('id', '=', user.id).execute();
    await noteInLog(store, { by, act: 'user', says: texts.removedAccessOf(name) });
  });
}

/** How long a session lasts, in milliseconds: a working day. */
const SESSION_MS = 12 * 3600 * 1000;
/** Wrong passphrases before a name is locked, from one address. */
const PER_NAME: Limit = { name: 'directory', most: 5, withinMs: 5 * 60 * 1000 };

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/**
 * Signs a user in. An unknown name and a wrong passphrase give the same answer after the same work.
 *
 * @throws DirectoryError where too many wrong passphrases came for the name
 */
export async function signInUser(
  db: HubDb,
  {
    name,
    passphrase,
    from = '',
  }: { readonly name: string; readonly passphrase: string; readonly from?: string },
  nowMs: number,
): Promise<(DirectoryUser & { readonly token: string }) | undefined> {
  // By name and address: whoever guesses elsewhere keeps nobody out.
  const tries: Counted = [PER_NAME, `${name.trim().toLowerCase()} ${from}`];
  // Counted before it is looked at, so that none is free by coming at once.
  if (!(await mayTry(db, nowMs, tries))) throw new DirectoryError(texts.tooManyWrongPassphrases, 429);
  const user = await findUser(db, name.trim());
  if (!(await isSecret(passphrase, user)) || !user) return undefined;
  await wasRight(db, tries);
  if (isOutdated(user)) await renew(db, user.id, passphrase);
  const token = randomBytes(32).toString('base64url');
  const until = new Date(nowMs + SESSION_MS).toISOString();
  await inTransaction(db, async (store) => {
    await store.deleteFrom('directorySessions').where('until', '<', new Date(nowMs).toISOString()).execute();
    await store
      .insertInto('directorySessions')
      .values({ token: hashOf(token), user: user.id, until })
      .execute();
  });
  return { name: user.name, role: user.role, created: user.created, token };
}

/** Hashes a passphrase anew, as hard as it is done now. */
async function renew(db: HubDb, id: number, passphrase: string): Promise<void> {
  const kept = await keepSecret(passphrase);
  await inTransaction(db, (store) =>
    store.updateTable('directoryUsers').set(kept).where('id', '=', id).execute(),
  );
}

/** The user of a session token; undefined for an unknown or expired one. */
export async function findSession(
  db: HubDb,
  token: string,
  nowMs: number,
): Promise<(DirectoryUser & { readonly id: number }) | undefined> {
  return (
    db
      .selectFrom('directorySessions')
      .innerJoin('directoryUsers', 'directoryUsers.id', 'directorySessions.user')
      .select(['directoryUsers.id', 'directoryUsers.name', 'directoryUsers.role', 'directoryUsers.created'])
      .where('directorySessions.token', '=', hashOf(token))
      .where('directorySessions.until', '>', new Date(nowMs).toISOString())
      // One that would last longer than any was begun when the clock said something else.
      .where('directorySessions.until', '<=', new Date(nowMs + SESSION_MS).toISOString())
      .executeTakeFirst()
  );
}

/** Signs somebody out. */
export async function endSession(db: HubDb, token: string): Promise<void> {
  await inTransaction(db, (store) =>
    store.deleteFrom('directorySessions').where('token', '=', hashOf(token)).execute(),
  );
}

function checkPassphrase(passphrase: string): void {
  if ([...passphrase].length < MIN_PASSPHRASE)
    throw new DirectoryError(texts.passphraseHasLettersAtLeast(MIN_PASSPHRASE), 400);
}

function findUser(db: HubDb, name: string): Promise<Selectable<DirectoryUsersTable> | undefined> {
  return db.selectFrom('directoryUsers').selectAll().where('name', '=', name).executeTakeFirst();
}

async function getUser(db: HubDb, name: string): Promise<Selectable<DirectoryUsersTable>> {
  const user = await findUser(db, name);
  if (!user) throw new DirectoryError(texts.nobodyCalledHasAccess(name), 404);
  return user;
}

async function keepOneAdministrator(db: HubDb, { role }: Pick<DirectoryUser, 'role'>): Promise<void> {
  if (role !== 'administrator') return;
  const all = await db
    .selectFrom('directoryUsers')
    .select('id')
    .where('role', '=', 'administrator')
    .execute();
  if (all.length < 2) throw new DirectoryError(texts.lastAdministratorCantBeChanged, 409);
}
