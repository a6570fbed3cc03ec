import { SyncRefusal } from '@/hub/sync';

import type { DavRequest } from './davRequest';
import { card as carddav, cardPath, dav } from './names';
import { element, text, xmlDocument } from './writeXml';

/** A request that fails; the standard's precondition, where there is one, is named in the body (RFC 4918 §16). */
export class DavError extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** The precondition element, such as {DAV:}valid-sync-token. */
    readonly condition?: string,
    /** The address of the conflicting resource, or of that for which a privilege is missing. */
    readonly href?: string,
    /** The privilege that is missing (RFC 3744 §7.1.1). */
    readonly privilege?: string,
  ) {
    super(message);
  }

  /** The body of the answer; undefined without a precondition. */
  body(): string | undefined {
    if (this.condition === undefined) return undefined;
    const address = this.href === undefined ? [] : [element(dav('href'), text(this.href))];
    const inner =
      this.privilege === undefined
        ? address
        : [element(dav('resource'), [...address, element(dav('privilege'), element(dav(this.privilege)))])];
    return xmlDocument(dav('error'), [element(this.condition, inner)]);
  }
}

/** A refusal of the sync engine as CardDAV says it. */
export async function orDavError<T>(
  { device, method }: DavRequest,
  path: string,
  work: Promise<T>,
): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (!(error instanceof SyncRefusal)) throw error;
    const { kind, message, href } = error;
    switch (kind) {
      case 'passport':
        throw new DavError(403, message, dav('need-privileges'), path, privilegeFor(method));
      case 'nothing':
        throw new DavError(404, message);
      case 'changed':
        // RFC 9110 §15.5.10: the device may look at what is there now, and ask again.
        throw new DavError(409, message);
      case 'elsewhere':
        throw new DavError(409, message, carddav('no-uid-conflict'), cardPath(device.user, href ?? ''));
    }
  }
}

/** The privilege that a method needs on a card (RFC 3744 appendix B; a card that isn't there yet is bound to its collection). */
export function privilegeFor(method: string): string {
  return method === 'DELETE' ? 'unbind' : 'write-content';
}
