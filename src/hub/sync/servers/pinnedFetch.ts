import { texts } from '@/texts/sync/dav';

/** How long a server may take for one answer, and for a whole visit, in milliseconds. */
const [ANSWER_MS, VISIT_MS] = [30_000, 15 * 60_000];
/** The most octets of an answer: of some hundred cards with photos. */
const MAX_OCTETS = 64_000_000;
/** The most redirects followed. */
const MAX_REDIRECTS = 5;

/**
 * A fetch that keeps to one server: nothing, and so no password, goes to another origin or is sent without TLS where the server has
 * it, wherever the server's answers lead. What takes too long or is too large ends in an error.
 *
 * @param base - the address that somebody has typed
 */
export function pinnedFetch(base: string, answerMs = ANSWER_MS, visitMs = VISIT_MS): typeof fetch {
  const { origin } = new URL(base);
  const began = performance.now();
  const go = async (url: URL, init: RequestInit, count: number): Promise<Response> => {
    if (url.origin !== origin) throw new Error(texts.serverLeadsTo(url.origin));
    const answer = await fetch(url, { ...init, redirect: 'manual' });
    const to = answer.headers.get('location');
    const isOn = answer.status >= 300 && answer.status < 400 && to !== null;
    if (!isOn || init.redirect === 'manual') return limited(answer);
    await answer.body?.cancel();
    if (count >= MAX_REDIRECTS) throw new Error(texts.serverLeadsOnAndOn);
    return go(new URL(to, url), init, count + 1);
  };
  return async (input, init = {}) => {
    const url = new URL(input instanceof Request ? input.url : input);
    if (performance.now() - began > visitMs) throw new Error(texts.visitTookTooLong(url.host));
    const late = AbortSignal.timeout(answerMs);
    const signal = init.signal ? AbortSignal.any([init.signal, late]) : late;
    try {
      return await go(url, { ...init, signal }, 0);
    } catch (error) {
      throw late.aborted ? new Error(texts.serverIsSilent(url.host)) : error;
    }
  };
}

/** The answer, which fails when it turns out too large. */
function limited(answer: Response): Response {
  if (!answer.body) return answer;
  let octets = 0;
  const counting = new TransformStream<Uint8Array, Uint8Array>({
    transform: (piece, controller) => {
      octets += piece.byteLength;
      if (octets > MAX_OCTETS) controller.error(new Error(texts.serverSaysTooMuch));
      else controller.enqueue(piece);
    },
  });
  const { status, statusText, headers } = answer;
  const copy = new Response(answer.body.pipeThrough(counting), { status, statusText, headers });
  return Object.defineProperty(copy, 'url', { value: answer.url });
}
