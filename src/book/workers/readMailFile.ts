import { Unzip, UnzipInflate } from 'fflate';

import { type MailPart, MailSplitter } from '@/core/talks';

/** A message or a whole calendar out of a file, and how many octets of the file have been read by then. */
export type MailFile = { readonly octets: number } & (
  | { readonly kind: 'mail'; readonly mail: MailPart }
  | { readonly kind: 'calendar'; readonly bytes: Uint8Array }
);

interface MailFileOptions {
  readonly withBodies: boolean;
  /** Gives false to have no more. */
  readonly onPart: (part: MailFile) => boolean | Promise<boolean>;
}

/** Octets of a calendar at most: it is read as a whole. */
const MAX_CALENDAR = 80e6;
/** Octets out of an archive at most: one of a few kB can hold terabytes. */
const MAX_UNPACKED = 20e9;

/** Reads a file of mail (mbox or a single message), a calendar, or an archive (zip) of these, in a stream. */
export async function readMailFile(file: File, { withBodies, onPart }: MailFileOptions): Promise<void> {
  const reader = file.stream().getReader();
  const waiting: MailFile[] = [];
  let octets = 0;
  const give = (part: MailFile) => waiting.push(part);
  let taker: Taker | undefined;
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (value) {
        octets += value.length;
        taker ??= startsWith(value, 'PK\u0003\u0004')
          ? new ZipTaker(withBodies, () => octets, give)
          : new FileTaker(withBodies, () => octets, give);
        taker.push(value);
      }
      if (done) taker?.end();
      for (const part of waiting.splice(0)) if (!(await onPart(part))) return;
      if (done) return;
    }
  } finally {
    await reader.cancel().catch(() => undefined);
  }
}

type Give = (part: MailFile) => void;
interface Taker {
  push(bytes: Uint8Array): void;
  end(): void;
}

/** One file: a calendar where it begins like one, else mail. */
class FileTaker implements Taker {
  private calendar: Uint8Array[] | undefined;
  private size = 0;
  private splitter: MailSplitter | undefined;

  constructor(
    private readonly withBodies: boolean,
    private readonly octets: () => number,
    private readonly give: Give,
  ) {}

  push(bytes: Uint8Array): void {
    if (!this.calendar && !this.splitter) {
      if (startsWith(bytes, 'BEGIN:VCALENDAR')) this.calendar = [];
      else
        this.splitter = new MailSplitter({
          withBodies: this.withBodies,
          onMail: (mail) => this.give({ kind: 'mail', mail, octets: this.octets() }),
        });
    }
    this.splitter?.push(bytes);
    this.size += bytes.length;
    if (this.calendar && this.size > MAX_CALENDAR) throw new RangeError('the calendar is larger than 80 MB');
    this.calendar?.push(bytes);
  }

  end(): void {
    this.splitter?.end();
    if (!this.calendar) return;
    const bytes = new Uint8Array(this.size);
    let at = 0;
    for (const part of this.calendar) {
      bytes.set(part, at);
      at += part.length;
    }
    this.give({ kind: 'calendar', bytes, octets: this.octets() });
  }
}

/** The files of an archive, one after the other; hidden ones and folders are passed over. */
class ZipTaker implements Taker {
  private readonly unzip = new Unzip();
  private unpacked = 0;

  constructor(withBodies: boolean, octets: () => number, give: Give) {
    this.unzip.register(UnzipInflate);
    this.unzip.onfile = (file) => {
      if (/(^|\/)[._]|\/$|^__MACOSX/.test(file.name)) return;
      const taker = new FileTaker(withBodies, octets, give);
      file.ondata = (error, data, isLast) => {
        if (error) throw error;
        this.unpacked += data.length;
        if (this.unpacked > MAX_UNPACKED) throw new RangeError('the archive holds more than 20 GB');
        if (data.length > 0) taker.push(data);
        if (isLast) taker.end();
      };
      file.start();
    };
  }

  push(bytes: Uint8Array): void {
    this.unzip.push(bytes);
  }

  end(): void {
    this.unzip.push(new Uint8Array(0), true);
  }
}

/** Whether octets begin with a text, a byte order mark and white space not counted. */
function startsWith(bytes: Uint8Array, text: string): boolean {
  let at = bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? 3 : 0;
  while (bytes[at] === 10 || bytes[at] === 13 || bytes[at] === 32) at += 1;
  return [...text].every((letter, i) => bytes[at + i] === letter.charCodeAt(0));
}
