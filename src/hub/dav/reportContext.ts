import { childOf, inBatches, type XmlElement } from '@/core/base';
import { type DeviceView, rememberServed, type SeenCard, type SeenHead } from '@/hub/sync';

import type { DavRequest } from './davRequest';
import { areOfText, formed, type SeenForm } from './forms';
import { responseOf, statusOf } from './multistatus';
import { bookPath, dav } from './names';
import { breathe, PIECE } from './pieces';
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

/** The answers for cards, made piece by piece while they are sent, and remembered as served where they are complete. */
export async function* serve(context: ReportContext, heads: readonly SeenHead[]): AsyncGenerator<Xml[]> {
  const { view, wish, names } = context;
  for (const piece of inBatches(heads, PIECE)) {
    await breathe();
    if (wish || areOfText(names)) {
      // As they are now: what has gone meanwhile is told of with the next sync.
      const found = await view.ofEach(piece.map(({ uid }) => uid));
      yield await serveWhole(
        context,
        piece.flatMap(({ uid }) => found.get(uid) ?? []),
      );
    } else yield answersFor(context, piece);
  }
}

/** The answers for cards by what is known without looking at them. */
export function answersFor(context: ReportContext, heads: readonly SeenHead[]): Xml[] {
  return heads.map((one) => responseFor(context, one));
}

/** The answers for cards with what is on them. */
export async function serveWhole(context: ReportContext, seen: readonly SeenCard[]): Promise<Xml[]> {
  const { request, wish, isDirectory } = context;
  const [forms] = await Promise.all([
    formed(request, seen, wish),
    wish && !isDirectory ? rememberServed(request, seen) : undefined,
  ]);
  return forms.map((one) => responseFor(context, one));
}

/** Pieces with others behind them. */
export async function* followedBy(
  pieces: AsyncIterable<Xml[]>,
  ...rest: readonly Xml[][]
): AsyncGenerator<Xml[]> {
  yield* pieces;
  yield* rest;
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
