import { element, text, xmlDocument } from './writeXml';

/** What a request can't be answered with; a condition of the standard, where it has one, is said in the body (RFC 4918 §16). */
export class DavError extends Error {
  constructor(
    readonly status: number,
    message: string,
    /** The element that names the condition, as in {DAV:}valid-sync-token. */
    readonly condition?: string,
    /** The address of the resource that stands in the way. */
    readonly href?: string,
  ) {
    super(message);
  }

  /** The body of the answer; undefined where no condition is named. */
  body(): string | undefined {
    if (this.condition === undefined) return undefined;
    const inner = this.href === undefined ? [] : [element('{DAV:}href', [text(this.href)])];
    return xmlDocument('{DAV:}error', [element(this.condition, inner)]);
  }
}
