import type { ContentLine, Params } from './contentLine';
import type { LogicalLine } from './readLogicalLines';

/** RFC 6350 §3.3: a property's name or group; underscores, which the wild has, are let through. */
const NAME = /^[A-Za-z0-9_-]+$/;

/**
 * Takes a logical line apart into group, name, parameters and value.
 *
 * Source: RFC 6350 §3.3, RFC 6868 for ^n, ^' and ^^. A parameter without a value is a TYPE, as in vCard 2.1.
 *
 * @returns undefined where there is no name or no colon
 */
export function parseContentLine({
  text,
  line,
}: Pick<LogicalLine, 'text' | 'line'>): ContentLine | undefined {
  const nameEnd = nextOf(text, 0, ';:');
  if (nameEnd === text.length) return undefined;
  const head = getHead(text.slice(0, nameEnd));
  if (!head) return undefined;
  const params: Params = {};
  const colon = text.charAt(nameEnd) === ':' ? nameEnd : readParams(text, nameEnd, params);
  if (colon === -1) return undefined;
  const value = text.slice(colon + 1);
  return head.group === undefined
    ? { name: head.name, params, value, line }
    : { group: head.group, name: head.name, params, value, line };
}

interface Head {
  readonly name: string;
  readonly group: string | undefined;
}

/** Parsed heads of lines, cached: a file has hundreds of thousands of lines and a few dozen different heads. */
const heads = new Map<string, Head | undefined>();
/** The most heads cached, so that a file with only different ones can't fill the memory. */
const MAX_HEADS = 2000;
/** A longer piece of a text may hold on to the whole of it (V8 copies only up to 12 characters). */
const MAX_KEPT_LENGTH = 12;

function getHead(text: string): Head | undefined {
  if (text.length > MAX_KEPT_LENGTH) return parseHead(text.trim());
  const known = heads.get(text);
  if (known || heads.has(text)) return known;
  if (heads.size >= MAX_HEADS) heads.clear();
  const head = parseHead(text.trim());
  heads.set(text, head);
  return head;
}

function parseHead(head: string): Head | undefined {
  const dot = head.indexOf('.');
  const name = dot === -1 ? head : head.slice(dot + 1);
  const group = dot === -1 ? undefined : head.slice(0, dot);
  if (!NAME.test(name) || (group !== undefined && !NAME.test(group))) return undefined;
  return { name: name.toUpperCase(), group };
}

/** Reads ";NAME=value,…" from `position` on into `params`; gives the place of the colon, or -1. */
function readParams(text: string, position: number, params: Params): number {
  let at = position;
  while (text.charAt(at) === ';') {
    let end = at + 1;
    while (end < text.length && !'=;:'.includes(text.charAt(end))) end += 1;
    const name = text.slice(at + 1, end).trim();
    if (text.charAt(end) !== '=') {
      if (name !== '') addValue(params, 'TYPE', name);
      at = end;
      continue;
    }
    at = readValues(text, end + 1, params, name.toUpperCase());
  }
  return text.charAt(at) === ':' ? at : -1;
}

/** Reads the values of one parameter; gives the place behind them. */
function readValues(text: string, position: number, params: Params, name: string): number {
  let at = position;
  for (;;) {
    let value: string;
    if (text.charAt(at) === '"') {
      const close = text.indexOf('"', at + 1);
      // A quote that never closes: the rest up to the colon counts as the value.
      const stop = close === -1 ? nextOf(text, at + 1, ';:') : close;
      value = text.slice(at + 1, stop);
      at = close === -1 ? stop : close + 1;
      // TYPE="voice,home": RFC 6350 §6.4.1 quotes a list as a whole.
      if (name === 'TYPE') value.split(',').forEach((one) => addValue(params, name, one.trim()));
      else addValue(params, name, value);
    } else {
      const stop = nextOf(text, at, ',;:');
      value = text.slice(at, stop);
      at = stop;
      addValue(params, name, value);
    }
    if (text.charAt(at) !== ',') return at;
    at += 1;
  }
}

const [COMMA, COLON, SEMICOLON] = [',', ':', ';'].map((char) => char.charCodeAt(0));

/** The place of the next colon or semicolon, or comma where it counts; the end of the text where there is none. */
function nextOf(text: string, from: number, stops: ';:' | ',;:'): number {
  const comma = stops === ',;:' ? COMMA : COLON;
  let at = from;
  for (; at < text.length; at += 1) {
    // Compares codes: every letter of a file passes through this loop.
    const code = text.charCodeAt(at);
    if (code === COLON || code === SEMICOLON || code === comma) break;
  }
  return at;
}

function addValue(params: Params, name: string, value: string): void {
  const plain = value.includes('^')
    ? value.replace(/\^([n'^])/g, (_, c: string) => ({ n: '\n', "'": '"' })[c] ?? '^')
    : value;
  (Object.hasOwn(params, name) ? params[name] : (params[name] = []))?.push(plain);
}
