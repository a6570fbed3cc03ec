import { findEastAsianIntroductions, findIntroductions } from './findIntroductions';
import { isGivenName } from './givenNames';
import { IMPRINT } from './mailWords';
import { isProse } from './readableLines';
import { overlapsAny, type SpanField, type TextSpan } from './spans';
import type { Segment, TextLine } from './textLines';
import { candidatesOf, type WhoCandidate } from './whoCandidates';
import { isHouse, type Scored, scoresOf, type WhoHints } from './whoScores';
import { DEPARTMENT, POST, PRONOUNS, WHO_LABELS } from './whoWords';

/** Finds the name, the post, the department and the organisation among what no other rule has taken. */
export function findWho(lines: readonly TextLine[], taken: readonly TextSpan[], hints: WhoHints): TextSpan[] {
  const marks: TextSpan[] = [...findPronouns(lines, taken)];
  marks.push(...findLabelled(lines, taken));
  if (!marks.some(({ field }) => field === 'name')) marks.push(...findSaid(lines, taken, hints));
  const candidates = candidatesOf(lines, [...taken, ...marks], hints.text, hints.locals);
  const has = (field: SpanField) => marks.some((mark) => mark.field === field);
  const scored = candidates.map((candidate) => ({ candidate, ...scoresOf(candidate, candidates, hints) }));
  const isImprint = IMPRINT.test(hints.text);
  if (!has('name')) {
    const best = scored
      .toSorted((a, b) => b.name - a.name)
      .find(({ candidate, name }) => name >= (isImprint ? 6 : isSupported(candidate, scored, hints) ? 3 : 4));
    if (best) marks.push(nameMark(best.candidate));
    else marks.push(...findIntroductions(lines, hints.locals).filter((mark) => !overlapsAny(mark, taken)));
  }
  const free = scored.filter(({ candidate }) => !overlapsAny(candidate, marks));
  for (const { candidate, post, house } of free) {
    if (isDepartment(candidate.text)) {
      if (!has('department')) marks.push(markOf(candidate, 'department'));
    } else if (post > 0 && post >= house) {
      if (marks.filter((mark) => mark.field === 'post').length < 2) marks.push(markOf(candidate, 'post'));
    }
  }
  if (!has('department')) marks.push(...unitAbove(free));
  if (!has('post')) marks.push(...tradeUnder(free, marks));
  if (!has('organisation'))
    marks.push(
      ...houseOf(
        free.filter(({ candidate }) => !overlapsAny(candidate, marks)),
        marks,
        hints.text,
      ),
    );
  return marks;
}

/** Who says in a sentence who they are, where the text is no signature: that is surer than what only looks like a name. */
function findSaid(
  lines: readonly TextLine[],
  taken: readonly TextSpan[],
  { locals, isSignature }: WhoHints,
): TextSpan[] {
  const said = findEastAsianIntroductions(lines);
  if (said.length > 0 || isSignature) return said;
  const found = findIntroductions(lines, locals).filter((mark) => !overlapsAny(mark, taken));
  const isSentence = lines.some(({ start, end, text }) =>
    found.some(
      (mark) => mark.field === 'name' && mark.start > start && mark.end <= end && /[.!?:]/.test(text),
    ),
  );
  return isSentence ? found : [];
}

/** Parts of what is large enough to have them. */
const UNIT =
  /^(?:school|institute?|centre|center|faculty|department|college|zentrum|seminar|klinik|école|instituto?|facultad|istituto|dipartimento|instytut|wydział|ústav|fakulta|intézet|institut[ul]*|enstitüsü)\s/iu;
const LARGE =
  /universit|université|università|universidad|universidade|uniwersytet|univerzit|egyetem|üniversite|hochschule|college|akademi|academ|klinikum|hospital/iu;

/** "Institut für Musikwissenschaft" above "Universität Seekirchen" is a part of it. */
function unitAbove(free: readonly Scored[]): TextSpan[] {
  const unit = free.find(
    ({ candidate }, i) =>
      UNIT.test(candidate.text) &&
      !LARGE.test(candidate.text) &&
      [free[i - 1], free[i + 1]].some(
        (other) =>
          other !== undefined && LARGE.test(other.candidate.text) && !UNIT.test(other.candidate.text),
      ),
  );
  return unit ? [markOf(unit.candidate, 'department')] : [];
}

/** How one word that says what somebody does ends, in many languages. */
const TRADE =
  /(?:erin|istin|ist|iste|ista|istka|graf|grafka|log|nom|tekt|pist|eut|eutin|ant|antin|icus|ik|isyen|isyeni|ien|ača|zator|or|ora|eur|euse|rice|ier|ière|ienne|aio|aia|ero|era|eiro|eira|nik|arz|arka|cielka|tel|telka|ář|ařka|ník|are|ör|ør|aja|jä|ija|ász|ész|ő|cı|ci|çı|çi|ian|man|woman|smith|wright|ник|щик|арь|тель|ист|истка|ица|ιστής|τής|τρια)$/iu;

/** More words than this are no trade. */
const MAX_TRADE_WORDS = 3;

/**
 * What stands alone under the name: what the person does, where it ends so or is small, or where the organisation is
 * another line, or the line under it looks like one.
 */
function tradeUnder(free: readonly Scored[], marks: readonly TextSpan[]): TextSpan[] {
  const name = marks.find(({ field }) => field === 'name');
  const next = free.find(({ candidate }) => name !== undefined && candidate.start >= name.end);
  if (!name || !next || next.house > 0 || next.candidate.start - name.end > 4) return [];
  const { text } = next.candidate;
  const words = text.split(/\s+/);
  // "Jefe de obra", "kostýmní výtvarnice": a house's name seldom ends small.
  const endsSmall = words.length > 1 && words.length <= 6 && /^\p{Ll}{3,}$/u.test(words.at(-1) ?? '');
  const isPlain =
    (words.length <= MAX_TRADE_WORDS || endsSmall) && /^\p{L}{2,}(?:[ -]\p{L}{2,})*$/u.test(text);
  const isUnspaced = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Hangul}]/u.test(text);
  // Where no space parts words, a long one may be a house.
  if (!isPlain || (isUnspaced && text.length > (/\p{Script=Hangul}/u.test(text) ? 6 : 4))) return [];
  const below = free[free.indexOf(next) + 1];
  const hasHouse =
    free.some(({ candidate, house }) => candidate !== next.candidate && house >= 2.5) ||
    (below !== undefined &&
      below.candidate.line === next.candidate.line + 1 &&
      isTitled(below.candidate.text));
  const isTrade = TRADE.test(words[0] ?? '') || TRADE.test(words.at(-1) ?? '');
  // One word under a name is seldom a house that says nothing of being one.
  const isOne =
    words.length === 1 && (!/\p{Lu}/u.test(text) || text !== text.toUpperCase()) && next.candidate.line > 0;
  return hasHouse || isOne || endsSmall || isTrade ? [markOf(next.candidate, 'post')] : [];
}

/** Whether more than its two capital words speaks for a name: where it stands, or that the firm is another line. */
function isSupported({ text }: WhoCandidate, all: readonly Scored[], { isSignature }: WhoHints): boolean {
  const hasHouse = all.some(({ candidate, house }) => candidate.text !== text && house >= 2.5);
  return isSignature || hasHouse || text.split(/\s+/).some(isGivenName);
}

/** Whether a piece is part of an organisation: "作曲系" is one, though composing is what somebody may do. */
function isDepartment(text: string): boolean {
  if (/^institutionen för /iu.test(text)) return true;
  return (
    DEPARTMENT.test(text) && !isHouse(text) && (!POST.test(text) || /^\p{Script=Han}+[系部科]$/u.test(text))
  );
}

function markOf({ start, end }: Segment, field: SpanField): TextSpan {
  return { start, end, field };
}

/** "(retd)" behind a name is none of it. */
function nameMark({ start, text }: Segment): TextSpan {
  return {
    start,
    end:
      start +
      text.replace(
        /\s*\([^)]*\)$|\s*(?:女士|先生|小姐|様|さん|敬上|谨上|謹上|上|博士|硕士|碩士|드림|올림|님)$/u,
        '',
      ).length,
    field: 'name',
  };
}

function findPronouns(lines: readonly TextLine[], taken: readonly TextSpan[]): TextSpan[] {
  for (const line of lines) {
    const match = PRONOUNS.exec(line.text);
    const said = match?.[1];
    if (!match || said === undefined || isProse(line.text)) continue;
    const start = line.start + match.index + match[0].indexOf(said);
    const mark: TextSpan = { start, end: start + said.length, field: 'pronouns' };
    if (!overlapsAny(mark, taken)) return [mark];
  }
  return [];
}

function findLabelled(lines: readonly TextLine[], taken: readonly TextSpan[]): TextSpan[] {
  const marks: TextSpan[] = [];
  for (const segment of lines.flatMap((line) =>
    line.segments.length > 1 ? [line, ...line.segments] : [line],
  ))
    for (const [field, label] of WHO_LABELS) {
      const length = label.exec(segment.text)?.[0].length ?? 0;
      const value = { start: segment.start + length, end: segment.end, text: segment.text.slice(length) };
      if (
        length === 0 ||
        value.text === '' ||
        /[|•·@]/.test(value.text) ||
        overlapsAny(value, [...taken, ...marks])
      )
        continue;
      if (!marks.some((mark) => mark.field === field)) marks.push(markOf(value, field));
    }
  return marks;
}

/** What is most like an organisation; else what stands right under the name or the post, in capitals of its own. */
function houseOf(free: readonly Scored[], marks: readonly TextSpan[], text: string): TextSpan[] {
  const best = free.filter(({ house }) => house >= 2.5).toSorted((a, b) => b.house - a.house)[0];
  if (best) return [markOf(best.candidate, 'organisation')];
  // "Cantiere Navale Bruni": a firm that is called as the person is.
  const name = marks.find(({ field }) => field === 'name');
  const surname = name && text.slice(name.start, name.end).split(/\s+/).at(-1);
  const family = free.find(
    ({ candidate }) =>
      surname !== undefined &&
      surname.length > 2 &&
      isTitled(candidate.text) &&
      candidate.text.split(/\s+/).includes(surname),
  );
  if (family) return [markOf(family.candidate, 'organisation')];
  const head = Math.max(
    -1,
    ...marks.filter(({ field }) => ['name', 'post', 'department'].includes(field)).map(({ end }) => end),
  );
  const next = free.find(({ candidate }) => candidate.start >= head && isTitled(candidate.text));
  const first = free.find(({ candidate }) => isTitled(candidate.text));
  const near =
    head < 0
      ? first
      : next?.candidate.start !== undefined && next.candidate.start - head < 90
        ? next
        : undefined;
  return near ? [markOf(near.candidate, 'organisation')] : [];
}

/** Whether a line is written as a name of something: capitals, few words, no sentence. */
function isTitled(text: string): boolean {
  const words = text.split(/\s+/);
  const capital = words.filter((word) => /^[\p{Lu}\p{Lo}&\d]/u.test(word));
  return (
    words.length <= 6 &&
    capital.length * 2 > words.length &&
    !/[.!?:"”»@]$/.test(text) &&
    !/\d{3}/.test(text) &&
    text.length > 2
  );
}
