import { childOf, inBatches, type XmlElement } from '@/core/base';
import { type DeviceView, rememberServed, type SeenCard, trimForDevice } from '@/hub/sync';

import type { DavRequest } from './davRequest';
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

function responseFor({ request, view, wish, names, isDirectory }: ReportContext, seen: SeenCard): Xml {
  const resource = { kind: 'card' as const, href: seen.href, isDirectory };
  return responseOf({ request, view, wish, seen, resource }, names);
}

/** The answers for cards, made piece by piece while they are sent, and remembered as served where they are complete. */
export async function* serve(context: ReportContext, seen: readonly SeenCard[]): AsyncGenerator<Xml[]> {
  for (const piece of inBatches(seen, PIECE)) {
    await breathe();
    if (!context.wish) {
      yield piece.map((one) => responseFor(context, one));
      continue;
    }
    if (!context.isDirectory) await rememberServed(context.request, piece);
    yield (await trimForDevice(context.request, piece)).map((one) => responseFor(context, one));
  }
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
