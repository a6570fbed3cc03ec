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
}

/** Words that ask politely, or that only lead to what is wanted; they say nothing. */
const POLITE = /^(?:please|kindly|thanks|thank you)[,]?\s+|[,]?\s+(?:please|thanks|thank you)[.!?]*$/iu;
const LEAD =
  /^(?:can|could|would) you\s+|^(?:i(?:'d| would)? (?:want|need|like|have) to|let(?:'s| us| me)|i'll|i must)\s+/iu;

/** The words of a line without what is only politeness. */
export function tokensOf(text: string): LineToken[] {
  let plain = text.replace(/[\u2018\u2019\u02bc]/g, "'").trim();
  for (let before = ''; before !== plain;) {
    before = plain;
    plain = plain.replace(POLITE, '').replace(LEAD, '').trim();
  }
  return plain.split(/\s+/).filter(Boolean).flatMap(tokenOf);
}

function tokenOf(word: string): LineToken[] {
  // A comma may stand without a space behind it: "ada,new@example.org".
  const parts =
    /^[^\s,]+(?:,[^\s,]+)+$/u.test(word) && !/^[\d.,]+$/.test(word) ? word.split(/(?<=,)/) : [word];
  return parts.map((part) => {
    const sign = /[,:;?!]+$/u.exec(part)?.[0] ?? (/[\p{L}]{2}\.$/u.test(part) ? '.' : '');
    const bare = sign === '' ? part : part.slice(0, part.length - sign.length);
    const isOwner =
      !/^(?:what|who|where|when|how|it|that|let|here|there)'s$/iu.test(bare) &&
      /[^\s]'s?$/iu.test(bare) &&
      /'s$|s'$/iu.test(bare);
    const raw = isOwner ? bare.replace(/'s?$/iu, '') : bare;
    return { raw, low: raw.toLowerCase(), isOwner, sign: sign.charAt(0) };
  });
}

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
    .join(' ');
}
