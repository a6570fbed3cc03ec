import { texts } from '@/texts/base/platform';

/** The hub said no, or can't be reached. */
export class HubFault extends Error {
  constructor(
    message: string,
    /** Of HTTP; 0 where there was no answer at all. */
    readonly status: number,
  ) {
    super(message);
  }
}

/** A question to the hub of this page. */
export interface HubQuestion {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
  readonly path: string;
  readonly token?: string | undefined;
  /** What the token is for: the book (Bearer), or the common directory. */
  readonly scheme?: 'Bearer' | 'Directory';
  readonly body?: unknown;
}

/** Asks the hub. @returns the JSON or the text that it answers; undefined for none. @throws HubFault */
export async function askHub({
  method = 'GET',
  path,
  token,
  scheme = 'Bearer',
  body,
}: HubQuestion): Promise<unknown> {
  const response = await fetch(`/api${path}`, {
    method,
    headers: {
      ...(token === undefined ? {} : { Authorization: `${scheme} ${token}` }),
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  }).catch(() => {
    throw new HubFault(texts.hubCantBeReached, 0);
  });
  if (!response.ok) throw new HubFault(await faultIn(response), response.status);
  if (response.status === 204) return undefined;
  return response.headers.get('content-type')?.includes('json') === true ? response.json() : response.text();
}

async function faultIn(response: Response): Promise<string> {
  const answer: unknown = await response.json().catch(() => undefined);
  const said = typeof answer === 'object' && answer && 'error' in answer ? answer.error : undefined;
  return typeof said === 'string' ? said : texts.hubAnswered(response.status);
}

/** How long to wait before listening again, in milliseconds: longer each time, as the hub may be off for the night. */
const [FIRST_WAIT_MS, LAST_WAIT_MS] = [1000, 60_000];

/**
 * Listens for changes of the hub's book, and goes on listening when the line breaks. Asks at once after each start, as
 * something may have happened meanwhile.
 *
 * @returns stops listening
 */
export function listenToHub(token: string, onChange: () => void): () => void {
  const stopped = new AbortController();
  void listen(token, onChange, stopped.signal);
  return () => stopped.abort();
}

async function listen(token: string, onChange: () => void, signal: AbortSignal): Promise<void> {
  let waitMs = FIRST_WAIT_MS;
  while (!signal.aborted) {
    try {
      const headers = { Authorization: `Bearer ${token}` };
      const response = await fetch('/api/exchange/events', { headers, signal });
      if (response.status === 401) return;
      if (response.ok && response.body) {
        waitMs = FIRST_WAIT_MS;
        onChange();
        await readEvents(response.body, onChange);
      }
    } catch {
      // Off, or gone: it is tried again.
    }
    if (signal.aborted) return;
    await new Promise((resolve) => setTimeout(resolve, waitMs));
    waitMs = Math.min(waitMs * 2, LAST_WAIT_MS);
  }
}

/** Server-sent events (WHATWG HTML §9.2), of which only that there is one matters. */
async function readEvents(body: ReadableStream<Uint8Array>, onChange: () => void): Promise<void> {
  const reader = body.pipeThrough(new TextDecoderStream() as TransformStream<Uint8Array, string>).getReader();
  let rest = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split('\n');
    rest = lines.pop() ?? '';
    if (lines.some((line) => line.startsWith('event: change'))) onChange();
  }
}
