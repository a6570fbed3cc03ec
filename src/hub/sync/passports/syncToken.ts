import { epochOf, type HubDb, sharedWith } from '@/hub/store';

/** RFC 6578 §4: a token is a URI, and says nothing to a client. After this come an epoch and a number of a change. */
const BASE = 'http://cordialis.example/sync/';

/** What a token stands for. */
export interface SyncState {
  /** The change up to which everything has been told. */
  readonly seq: number;
  /** Where it is told in parts (RFC 6578 §3.6): since when, and up to which card in the order of places. */
  readonly part?: { readonly since: number; readonly after: string };
}

/** The token of a state. */
export function syncTokenOf(db: HubDb, { seq, part }: SyncState): string {
  const rest = part === undefined ? '' : `/${part.since}/${part.after}`;
  return `${BASE}${epochOf(db)}/${seq}${rest}`;
}

const TOKEN = /^([0-9a-f]{1,40})\/(\d{1,15})(?:\/(\d{1,15})\/(g?[0-9a-f]{1,64}))?$/;

/** The state in a token; undefined for a foreign one, and one of a time that a restored backup knows nothing of. */
export function stateOf(db: HubDb, token: string): SyncState | undefined {
  const [, epoch, number, since, after] =
    TOKEN.exec(token.startsWith(BASE) ? token.slice(BASE.length) : '') ?? [];
  if (epoch === undefined) return undefined;
  const seq = Number(number);
  const shared = sharedWith(db, epoch);
  if (shared && seq > shared.cards) return undefined;
  return since === undefined || after === undefined
    ? { seq }
    : { seq, part: { since: Number(since), after } };
}
