import type { SyncContext } from '@/hub/sync';

/** A request of a device that has signed in. */
export interface DavRequest extends SyncContext {
  readonly method: string;
  /** By lower-case name; undefined where there is none. */
  readonly header: (name: string) => string | undefined;
  readonly body: string;
}

/** What is answered. */
export interface DavAnswer {
  readonly status: number;
  readonly headers?: Readonly<Record<string, string>>;
  /** Whole, or in pieces that are made while they are sent. */
  readonly body?: string | AsyncIterable<string>;
  /** Complete cards in the answer. */
  readonly served?: number;
}

/** What an address names for the signed-in device; anything else isn't found. */
export type Resource =
  | { readonly kind: 'root' | 'principal' | 'home' }
  /** The cards of the book, or those of the common directory. */
  | { readonly kind: 'book'; readonly isDirectory?: boolean }
  /** A card, or where one may be put. */
  | { readonly kind: 'card'; readonly href: string; readonly isDirectory?: boolean };

/** The Depth header (RFC 4918 §10.2) in small letters; what its absence means is the method's own. */
export function depthOf({ header }: Pick<DavRequest, 'header'>): string | undefined {
  return header('depth')?.trim().toLowerCase();
}

/** Whether an address names the common directory, or somebody in it. */
export function isOfDirectory(resource: Resource): boolean {
  return 'isDirectory' in resource && resource.isDirectory === true;
}

/** Resolves the parts of a path; undefined where there is nothing, or another's. */
export function resourceAt(path: readonly string[], user: string): Resource | undefined {
  const parts = path.filter(Boolean);
  const [first, owner, book, href, ...rest] = parts;
  if (parts.length === 0) return { kind: 'root' };
  if (owner !== user || rest.length > 0) return undefined;
  if (first === 'principals') return book === undefined ? { kind: 'principal' } : undefined;
  if (first !== 'books') return undefined;
  if (book === undefined) return { kind: 'home' };
  if (book !== 'cards' && book !== 'directory') return undefined;
  const where = book === 'directory' ? { isDirectory: true } : {};
  return href === undefined ? { kind: 'book', ...where } : { kind: 'card', href, ...where };
}
