import { childOf, inBatches, type XmlElement } from '@/core/base';
import { breathe } from '@/hub/base';
import { type DeviceView, rememberServed, type SeenCard, type SeenHead } from '@/hub/sync';

import type { DavRequest } from './davRequest';
import { areOfText, asTheyAre, formed, type SeenForm } from './forms';
import { answersAlike, responseOf, statusOf } from './multistatus';
import { bookPath, dav } from './names';
import { PIECE, PIECE_OF_HEADS } from './pieces';
import type { PropertySource } from './properties';
import { element, type Xml } from './writeXml';

/** What is asked of each card. */
export interface Asked {
  readonly names: readonly string[];
  readonly wish: PropertySource['wish'];
}

/** What a report is made of. */
export interface ReportContext extends Asked {
  readonly request: DavRequest;
  /** Whether it is the common directory, for which no memory of devices is kept. */
  readonly isDirectory: boolean;
  readonly view: DeviceView;
}

function responseFor({ request, view, wish, names, isDirectory }: ReportContext, seen: SeenForm): Xml {
  const resource = { kind: 'card' as const, href: seen.href, isDirectory };
  return responseOf({ request, view, wish, seen, resource }, names);
}

/** Cards, some at a time. */
export type Heads = AsyncIterable<readonly SeenHead[]> | Iterable<readonly SeenHead[]>;

/** The answers for cards, made piece by piece while they are sent, and remembered as served where they are complete. */
export async function* serve(context: ReportContext, heads: Heads): AsyncGenerator<Xml[]> {
  const { view, wish, names, isDirectory } = context;
  const isWhole = wish !== undefined || areOfText(names);
  const answer = isWhole ? undefined : answersAlike(context, isDirectory, names);
  for await (const some of heads)
    for (const piece of inBatches(some, answer ? PIECE_OF_HEADS : PIECE)) {
      await breathe();
      yield answer ? piece.map(answer) : await serveWhole(context, await asTheyAre(view, piece));
    }
}

/** The answers for cards with what is on them. */
async function serveWhole(context: ReportContext, seen: readonly SeenCard[]): Promise<Xml[]> {
  const { request, wish, names, isDirectory } = context;
  const [forms] = await Promise.all([
    formed(request, seen, names, wish),
    wish && !isDirectory ? rememberServed(request, seen) : undefined,
  ]);
  return forms.map((one) => responseFor(context, one));
}

/** Pieces with others behind them, which are made once those have been sent. */
export async function* followedBy(pieces: AsyncIterable<Xml[]>, rest: () => Xml[]): AsyncGenerator<Xml[]> {
  yield* pieces;
  yield rest();
}

/** How many members a client wants at most (RFC 6352 §10.6, RFC 6578 §6.4); without end where it doesn't say. */
export function limitIn(body: XmlElement, name: (local: string) => string): number {
  const said = childOf(childOf(body, name('limit')), name('nresults'))?.text.trim() ?? '';
  return /^\d{1,9}$/.test(said) ? Number(said) : Infinity;
}

/** There is more than has been told. */
export function isCut(context: ReportContext): Xml {
  return statusOf(pathIn(context), '507 Insufficient Storage', [
    element(dav('error'), element(dav('number-of-matches-within-limits'))),
  ]);
}

/** The address of the collection. */
export function pathIn({ request, isDirectory }: ReportContext): string {
  return bookPath(request.device.user, isDirectory);
}
