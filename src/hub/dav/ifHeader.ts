import { DavError } from './davError';

/** What a request is about, for conditions. */
export interface State {
  /** Always a strong one, so that no weak tag is the same (RFC 9110 §8.8.3.2). */
  readonly etag?: string | undefined;
  /** Of a collection (RFC 6578 §5). */
  readonly token?: string | undefined;
}

interface Condition {
  readonly isNot: boolean;
  readonly etag?: string;
  readonly token?: string;
}

/** Conditions that must all hold; of several lists one is enough. */
interface List {
  /** The path that it speaks of; undefined for that of the request. */
  readonly path: string | undefined;
  readonly conditions: readonly Condition[];
}

const PART = /\s*(?:<([^>]*)>|\[([^\]]*)\]|(\()|(\))|(Not)(?=[\s<[]))/giy;

/**
 * Whether the If header of a request holds (RFC 4918 §10.4): one of its lists for what it speaks of.
 *
 * @param stateOf - what is at a path; undefined where that is none of the device's business, so that nothing holds of it
 * @throws DavError 400 where it can't be read, 412 where it doesn't hold
 */
export async function checkIf(
  header: string | undefined,
  own: string,
  stateOf: (path: string) => Promise<State | undefined>,
): Promise<void> {
  if (header === undefined) return;
  for (const { path = own, conditions } of readIf(header)) {
    const state = await stateOf(path);
    const holds = ({ isNot, etag, token }: Condition) => {
      const isThere =
        state !== undefined && (etag === undefined ? token === state.token : etag === state.etag);
      return isThere !== isNot;
    };
    if (conditions.every(holds)) return;
  }
  throw new DavError(412, 'the condition of the If header doesn’t hold');
}

function readIf(header: string): List[] {
  const fault = new DavError(400, 'the If header can’t be read');
  const lists: List[] = [];
  let path: string | undefined;
  let open: Condition[] | undefined;
  let isNot = false;
  PART.lastIndex = 0;
  while (PART.lastIndex < header.trimEnd().length) {
    const match = PART.exec(header);
    if (!match) throw fault;
    const [, coded, etag, opens, closes] = match;
    if (opens !== undefined) {
      if (open) throw fault;
      open = [];
    } else if (closes !== undefined) {
      if (!open || open.length === 0 || isNot) throw fault;
      lists.push({ path, conditions: open });
      open = undefined;
    } else if (open && coded !== undefined) {
      open.push({ isNot, token: coded });
      isNot = false;
    } else if (open && etag !== undefined) {
      open.push({ isNot, etag: etag.trim() });
      isNot = false;
    } else if (open && !isNot) isNot = true;
    else if (coded !== undefined) path = coded.replace(/^https?:\/\/[^/]+/i, '');
    else throw fault;
  }
  if (open || lists.length === 0) throw fault;
  return lists;
}
