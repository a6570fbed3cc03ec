import { SyncRefusal } from '@/hub/sync';

import type { DavRequest } from './davRequest';
import { bookPath, card as carddav, dav } from './names';
import { element, text, xmlDocument } from './writeXml';

/** A request that fails; the standard's precondition, where there is one, is named in the body (RFC 4918 §16). */
export class DavError extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** The precondition element, such as {DAV:}valid-sync-token. */
    readonly condition?: string,
    /** The address of the conflicting resource. */
    readonly href?: string,
  ) {
    super(message);
  }

  /** The body of the answer; undefined without a precondition. */
  body(): string | undefined {
    if (this.condition === undefined) return undefined;
    const inner = this.href === undefined ? [] : [element('{DAV:}href', [text(this.href)])];
    return xmlDocument('{DAV:}error', [element(this.condition, inner)]);
  }
}

/** A refusal of the sync engine as CardDAV says it. */
export async function orDavError<T>({ device }: DavRequest, work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (!(error instanceof SyncRefusal)) throw error;
    const { kind, message, href } = error;
    switch (kind) {
      case 'passport':
        throw new DavError(403, message, dav('need-privileges'));
      case 'nothing':
        throw new DavError(404, message);
      case 'changed':
        // RFC 9110 §15.5.10: the device may look at what is there now, and ask again.
        throw new DavError(409, message);
      case 'elsewhere':
        throw new DavError(
          409,
          message,
          carddav('no-uid-conflict'),
          bookPath(device.user) + encodeURIComponent(href ?? ''),
        );
    }
  }
}
