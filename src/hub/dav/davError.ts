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
