import { z } from 'zod';

import {
  type AccountRequest,
  credentialsSchema,
  devicesSchema,
  type DevicesStatus,
  type EpochAnswer,
  epochSchema,
  type Heads,
  type HeldCardView,
  type KnownAnswer,
  knownSchema,
  type LogLine,
  logLineSchema,
  mailHeadSchema,
  type MailHeadView,
  mailSchema,
  type MailView,
  type NewMail,
  newMailSchema,
  type NewPassport,
  pairedSchema,
  type PassportRequest,
  type Pull,
  pullSchema,
  type Push,
  type RecordsPull,
  recordsPullSchema,
  type RecordsPush,
  settleSchema,
  standInSchema,
  type StandInStatus,
  type SyncPreview,
  syncPreviewSchema,
  type ToSettle,
  type UndoneSyncResult,
  undoneSyncSchema,
  type VisitResult,
  visitSchema,
} from '@/core/sync';
import { askHub, type HubQuestion, listenToHub } from '@/platform';

/** By what a browser is known to the hub, and in which epoch of the hub's store its cursors are. */
export interface HubAccess {
  readonly token: string;
  readonly epoch?: string | undefined;
}

/** What the book asks of the hub. Each throws HubFault. */
export interface HubClient {
  pair(code: string, name: string): Promise<{ readonly token: string; readonly name: string }>;
  /** A code that only a demo hands out. */
  demoCode(): Promise<string>;
  /** A code by which another browser is paired. */
  newCode(token: string): Promise<string>;
  unpair(token: string, name?: string): Promise<void>;
  /** HubFault 412, as of the next three, where the hub has been restored from a backup: its cursors are asked for anew. */
  push(at: HubAccess, push: Push): Promise<Readonly<Record<string, string>>>;
  pull(at: HubAccess, since: number): Promise<Pull>;
  /** Pushes talks and settings. @returns what the hub doesn't take, by id, with its reasons */
  putRecords(at: HubAccess, push: RecordsPush): Promise<Readonly<Record<string, string>>>;
  records(at: HubAccess, since: number): Promise<RecordsPull>;
  /** The hub's epoch, and up to where what a browser knows of its own has happened in it. */
  epoch(at: HubAccess): Promise<EpochAnswer>;
  /** Which cards and talks the hub had at two numbers. */
  known(token: string, at: Heads): Promise<KnownAnswer>;
  putMembers(token: string, list: string, uids: readonly string[]): Promise<void>;
  devices(token: string): Promise<DevicesStatus>;
  addDevice(token: string, wish: PassportRequest): Promise<NewPassport>;
  /** Connects the hub to another server, as a client. */
  addServer(token: string, wish: AccountRequest): Promise<void>;
  visitServer(token: string, name: string): Promise<{ readonly came: number; readonly went: number }>;
  changeDevice(token: string, name: string, wish: DeviceRequest): Promise<void>;
  removeDevice(token: string, name: string): Promise<void>;
  /** Undoes a sync of a device. */
  undoSync(token: string, id: number): Promise<UndoneSyncResult>;
  log(token: string, of: { readonly device?: string; readonly uid?: string }): Promise<LogLine[]>;
  /** What a device would be sent by its next sync. */
  ahead(token: string, name: string): Promise<SyncPreview>;
  toSettle(token: string): Promise<ToSettle[]>;
  /** The messages of the mailbox that ships with the product, the latest first. */
  mails(token: string): Promise<MailHeadView[]>;
  mail(token: string, id: number): Promise<MailView>;
  /** Messages that were sent or came in since one of them. */
  newMail(token: string, since: number): Promise<NewMail>;
  /** Puts message files (RFC 5322) into the outbox. */
  sendMails(token: string, messages: readonly string[]): Promise<void>;
  settled(token: string, id: number): Promise<void>;
  standIn(token: string, kind: StandInKind): Promise<StandInStatus>;
  addStandIn(token: string, kind: StandInKind): Promise<StandInStatus>;
  resetStandIn(token: string, kind: StandInKind): Promise<void>;
  /** Lets a simulated device sync now. */
  visit(token: string, kind: StandInKind): Promise<VisitResult>;
  setOffline(token: string, kind: StandInKind, isOffline: boolean): Promise<StandInStatus>;
  /** @param uid - undefined for a new card */
  editHeld(token: string, kind: StandInKind, uid: string | undefined, edit: HeldEdit): Promise<StandInStatus>;
  duplicateHeld(token: string, kind: StandInKind, uid: string): Promise<StandInStatus>;
  removeHeld(token: string, kind: StandInKind, uid: string): Promise<StandInStatus>;
  /** @returns stops listening */
  listen(token: string, onChange: () => void): () => void;
}

/** The simulated devices. */
export type StandInKind = StandInStatus['kind'];

/** What can be typed on such a device. */
export type HeldEdit = Pick<HeldCardView, 'name' | 'phones' | 'mails'>;

/** What may be changed of a device. */
export type DeviceRequest = Partial<Omit<PassportRequest, 'name'>> & {
  readonly isPaused?: boolean;
  /** How often the hub visits it, or it comes. */
  readonly everyMinutes?: number;
};

function inEpoch(epoch: string | undefined): string {
  return epoch === undefined ? '' : `epoch=${encodeURIComponent(epoch)}`;
}

const serverVisitSchema = z.object({ came: z.number(), went: z.number() });
const codeSchema = z.object({ code: z.string() });
const refusedSchema = z.object({ refused: z.record(z.string(), z.string()) });
/** A hub that is asked so. */
export function makeHubClient(
  ask: (question: HubQuestion) => Promise<unknown>,
  listen: HubClient['listen'],
): HubClient {
  const at = (name: string) => `/devices/${encodeURIComponent(name)}`;
  const kindAt = (kind: StandInKind, ...rest: string[]) =>
    ['/standins', kind, ...rest.map(encodeURIComponent)].join('/');
  const askNow = async (question: HubQuestion) => standInSchema.parse(await ask(question));
  return {
    pair: async (code, name) =>
      pairedSchema.parse(await ask({ method: 'POST', path: '/pair', body: { code, name } })),
    demoCode: async () => codeSchema.parse(await ask({ method: 'POST', path: '/pair/demo-code' })).code,
    newCode: async (token) => codeSchema.parse(await ask({ method: 'POST', path: '/pair/code', token })).code,
    unpair: async (token, name) => {
      await ask({ method: 'DELETE', path: '/pair', token, body: name === undefined ? {} : { name } });
    },
    push: async ({ token, epoch }, push) => {
      const path = `/exchange/push?${inEpoch(epoch)}`;
      return refusedSchema.parse(await ask({ method: 'POST', path, token, body: push })).refused;
    },
    pull: async ({ token, epoch }, since) =>
      pullSchema.parse(await ask({ path: `/exchange/pull?since=${since}&${inEpoch(epoch)}`, token })),
    putRecords: async ({ token, epoch }, push) => {
      const path = `/exchange/records?${inEpoch(epoch)}`;
      return refusedSchema.parse(await ask({ method: 'POST', path, token, body: push })).refused;
    },
    records: async ({ token, epoch }, since) =>
      recordsPullSchema.parse(
        await ask({ path: `/exchange/records?since=${since}&${inEpoch(epoch)}`, token }),
      ),
    epoch: async ({ token, epoch }) =>
      epochSchema.parse(await ask({ path: `/exchange/epoch?${inEpoch(epoch)}`, token })),
    known: async (token, { cards, records }) =>
      knownSchema.parse(await ask({ path: `/exchange/known?cards=${cards}&records=${records}`, token })),
    putMembers: async (token, list, uids) => {
      const path = `/exchange/members/${encodeURIComponent(list)}`;
      await ask({ method: 'PUT', path, token, body: uids });
    },
    devices: async (token) => devicesSchema.parse(await ask({ path: '/devices', token })),
    addDevice: async (token, wish) =>
      credentialsSchema.parse(await ask({ method: 'POST', path: '/devices', token, body: wish })),
    addServer: async (token, wish) => {
      await ask({ method: 'POST', path: '/devices/accounts', token, body: wish });
    },
    visitServer: async (token, name) => {
      const path = `/devices/accounts/${encodeURIComponent(name)}/sync`;
      return serverVisitSchema.parse(await ask({ method: 'POST', path, token }));
    },
    changeDevice: async (token, name, wish) => {
      await ask({ method: 'PATCH', path: at(name), token, body: wish });
    },
    removeDevice: async (token, name) => {
      await ask({ method: 'DELETE', path: at(name), token });
    },
    undoSync: async (token, id) =>
      undoneSyncSchema.parse(await ask({ method: 'POST', path: `/devices/syncs/${id}/undo`, token })),
    log: async (token, of) => {
      const query = new URLSearchParams(Object.entries(of)).toString();
      return z.array(logLineSchema).parse(await ask({ path: `/devices/log?${query}`, token }));
    },
    ahead: async (token, name) => syncPreviewSchema.parse(await ask({ path: `${at(name)}/ahead`, token })),
    standIn: (token, kind) => askNow({ path: kindAt(kind), token }),
    addStandIn: (token, kind) => askNow({ method: 'POST', path: kindAt(kind), token }),
    resetStandIn: async (token, kind) => {
      await ask({ method: 'POST', path: kindAt(kind, 'reset'), token });
    },
    visit: async (token, kind) =>
      visitSchema.parse(await ask({ method: 'POST', path: kindAt(kind, 'sync'), token })),
    setOffline: (token, kind, isOffline) =>
      askNow({ method: 'PUT', path: kindAt(kind, 'offline'), token, body: { isOffline } }),
    editHeld: (token, kind, uid, edit) =>
      uid === undefined
        ? askNow({ method: 'POST', path: kindAt(kind, 'cards'), token, body: edit })
        : askNow({ method: 'PUT', path: kindAt(kind, 'cards', uid), token, body: edit }),
    duplicateHeld: (token, kind, uid) =>
      askNow({ method: 'POST', path: kindAt(kind, 'cards', uid, 'duplicate'), token }),
    removeHeld: (token, kind, uid) => askNow({ method: 'DELETE', path: kindAt(kind, 'cards', uid), token }),
    toSettle: async (token) => z.array(settleSchema).parse(await ask({ path: '/devices/settle', token })),
    mails: async (token) => z.array(mailHeadSchema).parse(await ask({ path: '/mailbox', token })),
    mail: async (token, id) => mailSchema.parse(await ask({ path: `/mailbox/${id}`, token })),
    newMail: async (token, since) =>
      newMailSchema.parse(await ask({ path: `/mailbox/new?since=${since}`, token })),
    sendMails: async (token, messages) => {
      await ask({ method: 'POST', path: '/mailbox', token, body: { messages } });
    },
    settled: async (token, id) => {
      await ask({ method: 'DELETE', path: `/devices/settle/${id}`, token });
    },
    listen,
  };
}

/** The hub that served this page. */
export const hubClient: HubClient = makeHubClient(askHub, listenToHub);
