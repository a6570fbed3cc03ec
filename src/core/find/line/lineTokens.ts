/** A word of a line. */
export interface LineToken {
  /** As typed, without the signs behind it. */
  readonly raw: string;
  /** In small letters, without a 's at its end. */
  readonly low: string;
  /** Whether 's stood at its end: "ada's number". */
  readonly isOwner: boolean;
  /** The sign behind it: a comma, a colon; '' for none. */
  readonly sign: string;
  /** Where it begins in the line, and where it ends before its sign; in UTF-16 units. */
  readonly from: number;
  readonly to: number;
  /** Whether it stands in quotes: then it is a word to be found, and nothing else. */
  readonly isQuoted: boolean;
}

/** Words that ask politely, or that only lead to what is wanted; they say nothing. */
const POLITE = /^(?:please|kindly|thanks|thank you)[,]?\s+|[,]?\s+(?:please|thanks|thank you)[.!?]*$/iu;
const LEAD =
  /^(?:can|could|would) you\s+|^(?:i(?:'d| would)? (?:want|need|like|have) to|let(?:'s| us| me)|i'll|i must)\s+/iu;

/** The words of a line without what is only politeness. */
export function tokensOf(text: string): LineToken[] {
  const whole = text.replace(/[\u2018\u2019\u02bc]/g, "'");
  let [from, to] = [0, whole.length];
  for (;;) {
    const plain = whole.slice(from, to);
    const idle = /^\s+|\s+$/.exec(plain) ?? POLITE.exec(plain) ?? LEAD.exec(plain);
    if (!idle)
      return [...plain.matchAll(/\S+/g)].flatMap(({ 0: word, index }) => tokenOf(word, from + index));
    if (idle.index === 0) from += idle[0].length;
    else to -= idle[0].length;
  }
}

function tokenOf(word: string, start: number): LineToken[] {
  // A comma may stand without a space behind it: "ada,new@example.org".
  const parts =
    /^[^\s,]+(?:,[^\s,]+)+$/u.test(word) && !/^[\d.,]+$/.test(word) ? word.split(/(?<=,)/) : [word];
  let from = start;
  return parts.map((part) => {
    const sign = /[,:;?!]+$/u.exec(part)?.[0] ?? (/[\p{L}]{2}\.$/u.test(part) ? '.' : '');
    const bare = sign === '' ? part : part.slice(0, part.length - sign.length);
    const isOwner =
      !/^(?:what|who|where|when|how|it|that|let|here|there)'s$/iu.test(bare) &&
      /[^\s]'s?$/iu.test(bare) &&
      /'s$|s'$/iu.test(bare);
    const at = from;
    from += part.length;
    const isQuoted = QUOTED.test(bare);
    const raw = isQuoted ? bare.slice(1, -1) : isOwner ? bare.replace(/'s?$/iu, '') : bare;
    return {
      ...{ raw, low: raw.toLowerCase(), isOwner, sign: sign.charAt(0) },
      ...{ from: at, to: at + bare.length, isQuoted },
    };
  });
}

const QUOTED = /^(?:"[^"]+"|\u201c[^\u201d]+\u201d)$/u;

/** Whether some words begin with a phrase. */
export function beginsWith(tokens: readonly LineToken[], phrase: readonly string[]): boolean {
  return phrase.length <= tokens.length && phrase.every((word, i) => tokens[i]?.low === word);
}

/** Whether some words end with a phrase. */
export function endsWith(tokens: readonly LineToken[], phrase: readonly string[]): boolean {
  const from = tokens.length - phrase.length;
  return from >= 0 && phrase.every((word, i) => tokens[from + i]?.low === word);
}

/** Words as they were typed. */
export function rawOf(tokens: readonly LineToken[]): string {
  return tokens
    .map(
      ({ raw, isOwner, sign }, i) =>
        `${raw}${isOwner ? "'s" : ''}${i < tokens.length - 1 && sign === ',' ? ',' : ''}`,
    )
    .filter(Boolean)
    .join(' ');
}
