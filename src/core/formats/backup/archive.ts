import { Inflate } from 'fflate';

/** A file that is read in pieces, wherever it lies. */
export interface ByteSource {
  readonly size: number;
  /** The bytes from one place, up to another one and without that. */
  read(from: number, to: number): Promise<Uint8Array>;
}

/** A file of an archive. */
export interface ArchiveEntry {
  readonly name: string;
  /** How many bytes it has unpacked. */
  readonly size: number;
  /** Its bytes, piece by piece. */
  bytes(): AsyncIterable<Uint8Array>;
}

// PKWARE APPNOTE.TXT 6.3.10: §4.3.7 local file header, §4.3.12 central directory, §4.3.16 its end.
const LOCAL = 0x0403_4b50;
const CENTRAL = 0x0201_4b50;
const END = 0x0605_4b50;
const END_LENGTH = 22;
const COMMENT_AT_MOST = 0xff_ff;
const STORED = 0;
const DEFLATED = 8;

/** Packed bytes read at a time. */
const CHUNK = 65_536;

/**
 * Reads the list of a zip archive; the files themselves are read when they are asked for.
 *
 * @throws where it is none, is cut short, or is packed in a way that is not read
 */
export async function readArchive(source: ByteSource): Promise<Map<string, ArchiveEntry>> {
  const tailAt = Math.max(0, source.size - END_LENGTH - COMMENT_AT_MOST);
  const tail = view(await source.read(tailAt, source.size));
  let end = tail.byteLength - END_LENGTH;
  while (end >= 0 && tail.getUint32(end, true) !== END) end -= 1;
  if (end < 0) throw new Error('it is no zip archive, or has been cut short');
  const count = tail.getUint16(end + 10, true);
  const [size, at] = [tail.getUint32(end + 12, true), tail.getUint32(end + 16, true)];
  if (at + size > source.size) throw new Error('the zip archive has been cut short');
  const list = await source.read(at, at + size);
  const entries = new Map<string, ArchiveEntry>();
  for (let i = 0, pos = 0; i < count; i += 1) {
    const head = view(list.subarray(pos));
    if (head.byteLength < 46 || head.getUint32(0, true) !== CENTRAL)
      throw new Error('the list of the zip archive is damaged');
    const nameLength = head.getUint16(28, true);
    const name = new TextDecoder().decode(list.subarray(pos + 46, pos + 46 + nameLength));
    entries.set(name, entryOf(source, name, head));
    pos += 46 + nameLength + head.getUint16(30, true) + head.getUint16(32, true);
  }
  return entries;
}

function entryOf(source: ByteSource, name: string, head: DataView): ArchiveEntry {
  const method = head.getUint16(10, true);
  const packed = head.getUint32(20, true);
  const at = head.getUint32(42, true);
  return {
    name,
    size: head.getUint32(24, true),
    async *bytes() {
      const local = view(await source.read(at, at + 30));
      if (local.byteLength < 30 || local.getUint32(0, true) !== LOCAL)
        throw new Error(`${name} is not where the archive says`);
      const begin = at + 30 + local.getUint16(26, true) + local.getUint16(28, true);
      if (method !== STORED && method !== DEFLATED) throw new Error(`${name} is packed in an unknown way`);
      const unpacked: Uint8Array[] = [];
      const inflate = new Inflate((chunk) => unpacked.push(chunk));
      for (let from = begin; from < begin + packed; from += CHUNK) {
        const to = Math.min(begin + packed, from + CHUNK);
        const chunk = await source.read(from, to);
        if (method === STORED) yield chunk;
        else {
          inflate.push(chunk, to === begin + packed);
          yield* unpacked.splice(0);
        }
      }
    },
  };
}

function view(bytes: Uint8Array): DataView {
  return new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}
