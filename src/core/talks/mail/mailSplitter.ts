const [LINE_FEED, RETURN, SPACE] = [10, 13, 32];
/** "From " at the beginning of a line that follows an empty one begins a message (RFC 4155, appendix A). */
const FROM = [70, 114, 111, 109, SPACE];

/** Octets of a header kept at most: a file that is no mail must not fill the memory. */
const MAX_HEAD = 256 * 1024;
/** Octets of a body kept at most, where bodies are wanted. */
const MAX_BODY = 512 * 1024;

/** One message as it lies in the file. */
export interface MailPart {
  readonly head: Uint8Array;
  /** Empty where bodies aren't wanted; cut where it is long. */
  readonly body: Uint8Array;
}

interface SplitterOptions {
  readonly withBodies: boolean;
  readonly onMail: (part: MailPart) => void;
}

/**
 * Cuts a stream of octets into messages: an mbox (RFC 4155) at its "From " lines, anything else as one message. Holds
 * one header and, where wanted, one body at a time, however large the file.
 */
export class MailSplitter {
  private line: number[] = [];
  private readonly head = new Octets(MAX_HEAD);
  private readonly body = new Octets(MAX_BODY);
  private state: 'start' | 'head' | 'body' = 'start';
  /** Whether the last line was empty, so that a "From " may follow. */
  private isAfterEmpty = true;

  constructor(private readonly options: SplitterOptions) {}

  /** Takes the next piece of the stream. */
  push(bytes: Uint8Array): void {
    let from = 0;
    for (;;) {
      const end = bytes.indexOf(LINE_FEED, from);
      if (end === -1) break;
      if (this.isSkipped(bytes, from)) this.isAfterEmpty = false;
      else this.takeLine(bytes, from, end + 1);
      from = end + 1;
    }
    // The rest of the line comes with the next piece; a body that nobody wants needs only its beginning.
    const rest = bytes.subarray(from);
    if (this.line.length < MAX_HEAD) for (const octet of rest) this.line.push(octet);
  }

  /** The stream is over. */
  end(): void {
    if (this.line.length > 0) this.takeLine(new Uint8Array(0), 0, 0);
    this.finish();
  }

  /** Most lines of a large file are of bodies that nobody wants; they are passed over without being looked at. */
  private isSkipped(bytes: Uint8Array, from: number): boolean {
    if (this.state !== 'body' || this.options.withBodies || this.line.length > 0) return false;
    const first = bytes[from];
    return first !== FROM[0] && first !== LINE_FEED && first !== RETURN;
  }

  private takeLine(bytes: Uint8Array, from: number, to: number): void {
    let line = bytes.subarray(from, to);
    if (this.line.length > 0) {
      const whole = new Uint8Array(this.line.length + line.length);
      whole.set(this.line);
      whole.set(line, this.line.length);
      this.line = [];
      line = whole;
    }
    const isEmpty = line.length === 1 || (line.length === 2 && line[0] === RETURN);
    if (this.isAfterEmpty && this.state !== 'head' && isFromLine(line)) {
      this.finish();
      this.state = 'head';
    } else if (this.state !== 'body') {
      // A file that doesn't begin with a "From " line is one message.
      this.state = isEmpty && this.head.length > 0 ? 'body' : 'head';
      if (!isEmpty) this.head.add(line);
    } else if (this.options.withBodies) this.body.add(line);
    this.isAfterEmpty = isEmpty;
  }

  private finish(): void {
    if (this.head.length > 0) this.options.onMail({ head: this.head.take(), body: this.body.take() });
    this.state = 'start';
  }
}

function isFromLine(line: Uint8Array): boolean {
  return FROM.every((octet, i) => line[i] === octet);
}

/** Octets gathered up to a limit. */
class Octets {
  private parts: Uint8Array[] = [];
  length = 0;

  constructor(private readonly limit: number) {}

  add(octets: Uint8Array): void {
    if (this.length + octets.length > this.limit) return;
    this.parts.push(octets.slice());
    this.length += octets.length;
  }

  take(): Uint8Array {
    const whole = new Uint8Array(this.length);
    let at = 0;
    for (const part of this.parts) {
      whole.set(part, at);
      at += part.length;
    }
    this.parts = [];
    this.length = 0;
    return whole;
  }
}
