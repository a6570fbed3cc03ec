import { foldText } from '@/core/base';
import { startsWithTitle } from '@/core/card';

import { isGivenName } from './givenNames';
import { REGISTRY, STANDS_FOR } from './mailWords';
import { nameScore } from './nameScore';
import { phoneWord } from './phoneWords';
import { isProse } from './readableLines';
import type { TextSpan } from './spans';
import { type Segment, type TextLine, trimmed } from './textLines';
import { DEPARTMENT, GREETING, HOUSE, LEGAL_FORM, POST, POST_AT } from './whoWords';

/** A stretch that may be a name, a post, a department or an organisation. */
export interface WhoCandidate extends Segment {
  /** Counted from 0 among the lines that are read. */
  readonly line: number;
}

/** Degrees and memberships behind a name, and what a firm is by law behind its name: not a value of its own. */
const DEGREE = String.raw`(?:[A-Z]{2,6}|[A-Z][a-z]?\.?[A-Z][A-Za-z.]{0,5}|Jr\.?|Sr\.?|I{1,3}|Esq\.?)`;
const BEHIND = new RegExp(
  String.raw`^(?:${DEGREE}(?:\s+${DEGREE}){0,4}(?=$|[\s(])|(?:Ltd|Inc|LLC|LLP|Lda|S\.?L\.?U?|S\.?A\.?|GmbH|AG|B\.?V\.?)\.?$)`,
);
/** "Secretary: Joan Pike": somebody beside whom the text is about. */
const SOMEBODY_ELSE =
  /^(?:secretary|pa|assistant|sekretariat|sekretärin|vorzimmer|secrétariat|secrétaire|secretaría|secretaria|segreteria|segretaria|secretariaat|sekretariat|assistent(?:in|e)?|assistenz|sekreterare|sihteeri)\s*:\s*(?:frau |herr |mme |m\. |ms |mr )?\p{Lu}\p{L}+\s\p{Lu}/iu;
/** Letters of the longest piece that may be something. */
const LONGEST = 160;
/** When a shop is open. */
const HOURS =
  /\b\d{1,2}(?:[.:h]\d\d)?\s?(?:-|bis|to|à|a)\s?\d{1,2}(?:[.:h]\d\d)?(?:\s?(?:uhr|h|pm|am)\b|$)/iu;
/** On whose behalf somebody signs. */
const ON_BEHALF = /^(?:RA(?:in)?(?=\s)|i\. ?[av]\.|ppa\.|gez\.|p\.p\.|per pro\.?|p\.o\.|z up\.)\s*/iu;

/** What no rule has taken, in the pieces that may each be something: by separators, and within a piece by what joins two things. */
export function candidatesOf(
  lines: readonly TextLine[],
  taken: readonly TextSpan[],
  text: string,
  locals: readonly string[],
): WhoCandidate[] {
  return lines.flatMap((line, at) => {
    const above = lines[at - 1];
    if (isProse(line.text) || STANDS_FOR.test(line.text) || SOMEBODY_ELSE.test(line.text)) return [];
    if (above && STANDS_FOR.test(above.text) && /[:：]$/.test(above.text)) return [];
    return piecesOf(line, text).flatMap((piece) => {
      const free = withoutTaken(piece, taken, text);
      if (
        !free ||
        // No name, post or house is so long, and patterns take long over it.
        free.text.length > LONGEST ||
        (at > 0 && isWordBeforeNumber(free, piece, taken)) ||
        REGISTRY.test(free.text) ||
        HOURS.test(free.text) ||
        GREETING.test(free.text) ||
        !/\p{L}{2}|\p{Script=Han}/u.test(free.text) ||
        isLabel(free.text)
      )
        return [];
      return splitJoined(free, text, locals).map((one) => ({ ...one, line: at }));
    });
  });
}

/** Segments, those that belong to the one before joined to it. */
function piecesOf(line: TextLine, text: string): Segment[] {
  // "LINDQVIST, Eva"
  const [surname, given, ...others] = line.segments;
  if (surname && given && others.length === 0 && isTurnedRound(line.text)) return [line];
  const last = line.segments.at(-1);
  const isHouse =
    last !== undefined &&
    LEGAL_FORM.test(last.text) &&
    !/[\d|•·]/.test(line.text) &&
    line.segments.every((one) => one.text.split(' ').length <= 5 && !POST.test(one.text));
  if (isHouse && line.segments.length > 1) return [line];
  const pieces: Segment[] = [];
  for (const segment of line.segments) {
    const before = pieces.at(-1);
    const behind = BEHIND.exec(segment.text)?.[0];
    const joins =
      before !== undefined && behind !== undefined && /^,\s*$/.test(text.slice(before.end, segment.start));
    // "Falcão & Serra, Sociedade de Advogados"
    const isPartners =
      before !== undefined &&
      /\s(?:&|e|y|und|and|et|i|og|och)\s/u.test(before.text) &&
      /^(?:sociedade de|rechtsanw|steuerber|solicitors|advogados|abogados|avocats|avvocati|notai|architects|architekten|adwokaci|advokater)/iu.test(
        segment.text,
      );
    if (isPartners) pieces[pieces.length - 1] = trimmed(text, before.start, segment.end);
    else if (!joins) pieces.push(segment);
    else pieces[pieces.length - 1] = trimmed(text, before.start, segment.start + behind.length);
  }
  return pieces;
}

/** A surname, a comma and a given name. */
function isTurnedRound(text: string): boolean {
  const [, surname, given] = /^(\p{Lu}[\p{L}'’-]+), (\p{Lu}\p{Ll}+)(?: \p{Lu}\.?\p{Ll}*)?$/u.exec(text) ?? [];
  if (surname === undefined || given === undefined || POST.test(given) || HOUSE.test(surname)) return false;
  return isGivenName(given) || surname === surname.toUpperCase();
}

/** Words that only label what is taken: "Tel.", "Mobile / Fax", "Impressum". */
function isLabel(text: string): boolean {
  if (/[:：]$/.test(text)) return true;
  const words = foldText(text).match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.every((word) => phoneWord(word) !== undefined || LABELS.has(word));
}

const LABELS = new Set(
  'e mail email mailto web website www internet url contact contacts kontakt contacto contatto impressum imprint pec chat messenger sekretariat secretariat zentrale anschrift address adresse et and und y メール 邮箱 电邮 电子邮件 網址 网址 网站 w'.split(
    ' ',
  ),
);

/** A piece of a line without what other rules took of it, without signs at its ends and what is left in brackets. */
function withoutTaken(piece: Segment, taken: readonly TextSpan[], text: string): Segment | undefined {
  let { start, end } = piece;
  let isBehind = false;
  for (const mark of taken) {
    if (mark.end <= start || mark.start >= end) continue;
    if (mark.start - start >= end - mark.end) end = mark.start;
    else {
      start = mark.end;
      isBehind = true;
    }
  }
  const rest = trimmed(text, start, Math.max(start, end));
  // "(from 5 pm)" behind a number speaks of the number.
  if (isBehind && /^[()]/.test(rest.text)) return undefined;
  const onBehalf = ON_BEHALF.exec(rest.text)?.[0].length ?? 0;
  const lead = /^[\s()<>[\]"“”„«»*_:/-]+/.exec(rest.text.slice(onBehalf))?.[0].length ?? 0;
  const tail = /[\s(<[*_:/"“”«»-]+$/.exec(rest.text.slice(onBehalf + lead))?.[0].length ?? 0;
  // "Театр «Гавань»" ends in a quote that belongs to it.
  const isQuoted = lead === 0 && /[«„"“][^«»„"“”]+[»”“"]$/u.test(rest.text);
  const own = trimmed(text, rest.start + onBehalf + lead, rest.end - (isQuoted ? 0 : tail));
  const open = own.text.search(/\([^)]*$/);
  const closed = /\s*\([^)]*\)$/.exec(own.text);
  if (open > 0) return trimmed(text, own.start, own.start + open);
  if (closed && closed.index > 0 && /\p{Script=Hiragana}|\p{Script=Katakana}/u.test(closed[0]))
    return trimmed(text, own.start, own.start + closed.index);
  // What ends with a colon labels what has been taken.
  return own.text === '' || /^\s*:/.test(text.slice(own.end, end + 1)) ? undefined : own;
}

/** A word alone right before a number, below the first line, says what sort of number it is: a service, mostly. */
function isWordBeforeNumber(free: Segment, piece: Segment, taken: readonly TextSpan[]): boolean {
  const isNext = ({ start, end, field }: TextSpan) =>
    start >= free.end && end <= piece.end && ['phone', 'mobile', 'fax'].includes(field);
  return (
    free.start === piece.start && /^\p{L}+$/u.test(free.text) && !isGivenName(free.text) && taken.some(isNext)
  );
}

/** "Manager at Firm", "制作部 部長", "Organist Anna Lund": two things in one piece. */
function splitJoined(piece: Segment, text: string, locals: readonly string[]): Segment[] {
  const cut = (at: number, gap: number) => [
    trimmed(text, piece.start, piece.start + at),
    trimmed(text, piece.start + at + gap, piece.end),
  ];
  const at = POST_AT.exec(piece.text);
  if (at && POST.test(piece.text.slice(0, at.index))) return cut(at.index, at[0].length);
  const bracket = /^(.+?)\s*\(([^()]+)\)$/.exec(piece.text);
  if (bracket && POST.test(bracket[2] ?? '') && !POST.test(bracket[1] ?? '')) {
    const [inside, outside] = cut(piece.text.indexOf('('), 1).toReversed();
    if (inside && outside) return [outside, trimmed(text, inside.start, inside.end - 1)];
  }
  const space = piece.text.indexOf(' ');
  const rest = piece.text.slice(space + 1);
  const unit =
    /^(?<house>\p{Script=Han}+(?:大学|大學|学院|學院|公司|中心|集团|集團|医院|樂團|乐团|协会))(?<unit>\p{Script=Han}{1,8}[系部科处處室组組院])$/u.exec(
      piece.text,
    );
  if (unit?.groups?.['house'] !== undefined) return cut(unit.groups['house'].length, 0);
  if (space < 0) return [piece];
  const words = [...piece.text.matchAll(/\S+/g)];
  // "みなとホール 事業課 主任": a house, a department and a post.
  const isEach = () =>
    words.every(({ 0: word }) => HOUSE.test(word) || DEPARTMENT.test(word) || POST.test(word));
  if (words.length > 2 && /\p{Script=Han}/u.test(piece.text) && isEach())
    return words.map(({ 0: word, index }) => ({
      ...{ start: piece.start + index, end: piece.start + index + word.length, text: word },
    }));
  // "김민지 과장": who, and what they are.
  if (/^\p{Script=Hangul}{2,4} \p{Script=Hangul}{2,6}$/u.test(piece.text) && POST.test(rest))
    return cut(space, 1);
  // "파도출판사 편집부", "팀장 이서연": a house and its department, a post and who has it.
  if (/^\p{Script=Hangul}+ \p{Script=Hangul}+$/u.test(piece.text)) {
    const first = piece.text.slice(0, space);
    if ((HOUSE.test(first) && DEPARTMENT.test(rest)) || (POST.test(first) && rest.length <= 4))
      return cut(space, 1);
  }
  if (/^\p{Script=Han}+ +[\p{L}ー]+(?: [\p{L}ー]+)?$/u.test(piece.text)) {
    const [first = ''] = piece.text.split(' ');
    const second = piece.text.slice(space).trim();
    const isUnit = DEPARTMENT.test(second) ? !POST.test(first) : DEPARTMENT.test(first) && POST.test(second);
    return isUnit || POST.test(first) !== POST.test(second) ? cut(space, 1) : [piece];
  }
  const isPost = POST.test(piece.text.slice(0, space)) && !POST.test(rest);
  // "Maestro Ottavio Brunelli": a title belongs to the name.
  const isTitle = startsWithTitle(piece.text);
  return isPost && !isTitle && /^\p{Lu}/u.test(rest) && nameScore(rest, locals) >= 4
    ? cut(space, 1)
    : [piece];
}
