import { isGivenName } from './givenNames';
import { FROM_WORDS, INTRODUCTION, SAID_AFTER, SPEAKS_OF_WORK } from './introductionWords';
import { isKoreanName, nameScore } from './nameScore';
import type { TextSpan } from './spans';
import type { TextLine } from './textLines';
import { HAN_SURNAMES, HOUSE, LEGAL_FORM, POST } from './whoWords';

/** A name as it stands in a sentence: words with capitals, and the small words between them. */
const NAME = new RegExp(
  [
    // Small words belong to a name that has had no surname yet: "Anna van der Wiel", but "Anna Wiel von der Druckerei".
    String.raw`^WORD\s+(?:(?:de|del|da|dos|van|von|der|den|la|le|af|av)\s+)+WORD`,
    // In Finnish the house may follow at once, with an ending.
    String.raw`^WORD\s+WORD(?=\s\p{Lu}[\p{L} ]{1,30}:(?:st|lt|ll|ss)[aä])`,
    String.raw`^WORD(?:\s+WORD){0,3}`,
    String.raw`^\p{Script=Han}{2,4}(?=[，,。、的来來]|$)`,
    String.raw`^\p{Script=Hebrew}+\s\p{Script=Hebrew}+(?=\s|[,.]|$)`,
    String.raw`^\p{Script=Arabic}+(?:\s(?!(?:من|في|لدى)\s|و[أاينت])\p{Script=Arabic}+){0,2}`,
  ]
    .join('|')
    .replaceAll('WORD', String.raw`(?:\p{Lu}\p{Ll}{0,3}\.(?=\s\p{Lu})|\p{Lu}[\p{L}\p{M}'’-]*)`),
  'u',
);
/** An organisation as it stands in a sentence; in quotes, its name may have small letters. */
const HOUSE_NAME =
  /^(?:\p{L}+\s+(?:(?:de|des|du|della?|di|do|da|van|von)\s+)?)?(?:[«„"“][^»”“"]{2,40}[»”“"]|\p{Lu}[\p{L}\p{M}\d'’&-]*\.?(?:(?<!\.)|(?<=\.)(?=[ ]\p{Lu})))(?:\s+(?:(?:&|and|und|et|y|e|og|och|i|of|de|del|della|delle|di|da|das|dos|des|du|der|den|do|no|la|le|les|van|von|für|for|för|av|af|el|al|aan|på|ved|på|na|της|του|των|им|імені|имени|cu|din|nad|w|pod)\s+){0,2}\p{Lu}[\p{L}\p{M}\d'’&-]*){0,5}(?:\s[«„"“][^»”“"]{2,40}[»”“"])?/u;
/** In Vietnamese: small letters follow the word that says what sort of house it is. */
const VIETNAMESE_HOUSE =
  /^(?:Công ty|Nhà hát|Nhà xuất bản|Nhà sách|Trung tâm|Bệnh viện|Ngân hàng|Khách sạn|Tạp chí|Đại học|Trường)(?:\s\p{Lu}[\p{L}\p{M}]*){1,6}/u;
/** In Arabic: a word of a house and what follows it. */
const ARABIC_HOUSE = /^\p{Script=Arabic}+(?:\s\p{Script=Arabic}+){0,2}/u;

/** "我是海风乐器的李建国", "浜辺楽器の小林です", "바다악기의 박준호입니다": the house first, then who. */
const EAST_ASIAN = [
  /我(?:是|叫)(?<house>\p{Script=Han}{3,12}?)的(?<post>\p{Script=Han}{1,4}(?:长|長|师|師|员|員|理|监|監|任|授|家|手|编|編))(?<name>\p{Script=Han}{2,4})(?=[，,。！、]|$)/u,
  /我(?:是|叫)(?<house>\p{Script=Han}{3,12}?)的(?<name>\p{Script=Han}{2,4})(?=[，,。！、]|$)/u,
  /我(?:是|叫)(?<name>\p{Script=Han}{2,3})[，,、]?(?:是|在)(?<house>\p{Script=Han}{3,12}?)(?:的(?<post>\p{Script=Han}{2,5}))?(?=[，,。！、]|工作|$)/u,
  /(?<=^|[。、,\s])(?<house>[\p{Script=Han}\p{Script=Katakana}\p{Script=Hiragana}ー]{3,20}?)の(?<name>\p{Script=Han}{1,4}[ ]?[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]{1,4}?)(?:です|と申します)/u,
  /(?:저는 )?(?<house>\p{Script=Hangul}{3,12}?)(?:의)? (?:(?<post>\p{Script=Hangul}{2,4}) )?(?<name>\p{Script=Hangul}{2,4})(?:입니다|이라고 합니다|라고 합니다)/u,
];

/** Who says so in Chinese, Japanese or Korean, where the house may stand first. */
export function findEastAsianIntroductions(lines: readonly TextLine[]): TextSpan[] {
  for (const line of lines) {
    const marks = eastAsianMarks(line);
    if (marks.length > 0) return marks;
  }
  return [];
}

/** Who says in a sentence who they are, and where they are from: "this is Ana from Quay Strings, my new number is …". */
export function findIntroductions(lines: readonly TextLine[], locals: readonly string[]): TextSpan[] {
  for (const line of lines) {
    for (const at of beginnings(line.text)) {
      const name = nameAt(line.text.slice(at), locals);
      if (name === undefined) continue;
      const end = at + name.text.length;
      const said = SAID_AFTER.exec(line.text.slice(end))?.[0].length ?? 0;
      const rest = ' '.repeat(said) + tailOf(line.text.slice(end + said));
      const house = houseIn(rest);
      const post = postIn(rest.slice(0, house?.gap ?? house?.from ?? rest.length), house !== undefined);
      // Two words with capitals may be anything, but hardly where somebody says where they are from or what they do.
      if (!name.isSure && !house && !post) continue;
      const mark = (field: TextSpan['field'], from: number, to: number): TextSpan => ({
        ...{ start: line.start + from, end: line.start + to, field },
      });
      return [
        mark('name', at, end),
        ...(post ? [mark('post', end + post.from, end + post.to)] : []),
        ...(house ? [mark('organisation', end + house.from, end + house.to)] : []),
      ];
    }
  }
  return [];
}

/** Where a name may begin: behind words that say so, or at the beginning of what they follow. */
function beginnings(text: string): number[] {
  const after = [...text.matchAll(INTRODUCTION)].map((found) => found.index + found[0].length);
  const before = [...text.matchAll(/(?<=^|[.!,]\s+)\p{Lu}/gu)].flatMap(({ index }) => {
    const name = NAME.exec(text.slice(index))?.[0];
    return name !== undefined && SAID_AFTER.test(text.slice(index + name.length)) ? [index] : [];
  });
  return [...after, ...before];
}

/** The name that a sentence goes on with; sure where its first word is a given name or much else speaks for it. */
function nameAt(rest: string, locals: readonly string[]): { text: string; isSure: boolean } | undefined {
  const words = NAME.exec(rest)?.[0]
    .replace(/[.,]+$/, '')
    .trim();
  if (words === undefined || LEGAL_FORM.test(words) || (POST.test(words) && !words.includes(' ')))
    return undefined;
  const [first = '', ...others] = words.split(/\s+/);
  const isGiven = isGivenName(first) || isGivenName(others.at(-1) ?? '');
  if (HOUSE.test(words) && !isGiven) return undefined;
  const score = nameScore(words, locals);
  const isEnd =
    words.includes(' ') && score >= 2 && /^\s*[.,!]/.test(rest.slice(words.length)) && !POST.test(words);
  const isSure = isGiven || isEnd || score >= 3 || (HAN_SURNAMES.has(first.charAt(0)) && first.length <= 4);
  return isSure || (words.includes(' ') && score >= 2) ? { text: words, isSure } : undefined;
}

/** The rest of a sentence, up to its point or to figures. */
function tailOf(text: string): string {
  return /^(?:[^.!?\d\n]|\.(?=\s?\p{Ll})|(?<=(?:^|\s)\p{Lu})\.)*/u.exec(text)?.[0] ?? '';
}

interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Where what leads to it begins. */
  readonly gap?: number;
}

/** ", technicien chez …": what stands between a comma and where somebody works is what they do there. */
const APPOSED =
  /^\s*,\s+(?:(?:a|an|the|der|die|ein|eine|un|une|una|um|uma|la|le|il|lo|el|en|ett|et)\s+|l['’])?(?<post>\p{L}{4,}(?:\s\p{Ll}{3,}){0,2})\s*$/u;

/** Where the person is from: right behind the name, or further on where what lies between is about work. */
function houseIn(rest: string): Stretch | undefined {
  const suffixed =
    // In Finnish: "Rantasoitin Oy:stä".
    /^,?\s+(?<house>\p{Lu}[\p{L} ]{2,40}):(?:st[aä]|lt[aä]|ll[aä]|ss[aä]|n)(?=[\s.,]|$)/u.exec(rest) ??
    /^,?\s+(?<house>\p{Lu}[\p{L} ]{2,40})['’](?:n?[dt][ae]n?|ndan|nden|de|da|te|ta)(?=[\s.,]|$)/u.exec(rest);
  if (suffixed?.groups?.['house'] !== undefined) {
    const from = suffixed[0].indexOf(suffixed.groups['house']);
    return { from, to: from + suffixed.groups['house'].length };
  }
  // "… Гнатюк, Видавництво «Маяк», …": right behind the name and a comma, where a word says that it is a house.
  const apposed = HOUSE_NAME.exec(/^,\s+\p{Lu}/u.test(rest) ? rest.replace(/^,\s+/, '') : '')?.[0];
  if (apposed !== undefined && HOUSE.test(apposed) && !POST.test(apposed)) {
    const from = rest.length - rest.replace(/^,\s+/, '').length;
    return { from, to: from + apposed.length };
  }
  const hebrew = /^\sמ(?<house>\p{Script=Hebrew}{2,}(?:\s\p{Script=Hebrew}+){0,2})(?=[.,]|$)/u.exec(rest)
    ?.groups?.['house'];
  if (hebrew !== undefined) return { from: 2, to: 2 + hebrew.length };
  for (const found of rest.matchAll(FROM_WORDS)) {
    const gap = rest.slice(0, found.index);
    const isNear =
      /^\s*(?:,\s*)?(?:(?:i|ich|je|я) (?:am|bin|suis)\s*)?$/iu.test(gap) ||
      /^\s*,?\s*(?:я|och jag är|der)\s*$/iu.test(gap);
    if (!isNear && !SPEAKS_OF_WORK.test(gap) && !POST.test(gap) && !APPOSED.test(gap)) continue;
    // "at The Anchor Rooms": with a capital it is part of the name.
    const article = /(?:The|Die|Das|Der|Le|La|Les|Het|De|Il|Den)\s+$/.exec(found[0])?.[0].length ?? 0;
    const at = found.index + found[0].length - article;
    const text = rest.slice(at);
    const name = [VIETNAMESE_HOUSE, /^\p{Script=Arabic}/u.test(text) ? ARABIC_HOUSE : HOUSE_NAME]
      .map((form) => form.exec(text)?.[0])
      .find((found_) => found_ !== undefined);
    const [first = ''] = name?.split(' ') ?? [];
    // A small word belongs to the name where it names what sort of house it is: "l’atelier Beauclair".
    if (name === undefined || (!/^[\p{Lu}\p{Lo}«„"“]/u.test(first) && !HOUSE.test(first))) continue;
    // In Hungarian the ending says "from": "a Dunaparti Könyvesboltból".
    const whole = withSmallWords(text, name).replace(/\.$/, '');
    const own = /^az?\s+$/i.test(found[0])
      ? whole.replace(/(?<=\p{L}{3}[^aeiouáéíóöőúüű])(?:b[óő]l|t[óő]l|n[áé]l)$/u, '')
      : whole;
    return { from: at, to: at + own.length, gap: found.index };
  }
  return undefined;
}

/** "Městské knihovny": the word that says what sort of house it is may follow in small letters. */
function withSmallWords(text: string, name: string): string {
  if (HOUSE.test(name)) return name;
  const longer = /^(?:\s\p{Ll}{3,}){1,2}/u.exec(text.slice(name.length))?.[0] ?? '';
  // "Městské knihovny Přístav"
  const proper = /^\s\p{Ll}{3,}(?:\s\p{Lu}[\p{L}’'-]+){1,2}/u.exec(text.slice(name.length))?.[0] ?? '';
  if (HOUSE.test(/^\s\p{Ll}+/u.exec(proper)?.[0] ?? '')) return name + proper;
  const [first = '', second = ''] = longer.trim().split(' ');
  const isLast = /^[\s.,!]*$/u.test(text.slice(name.length + longer.length));
  const more =
    [` ${first}`, ` ${first} ${second}`].find((words) => HOUSE.test(words)) ??
    (isLast && !name.includes(' ') && second === '' ? ` ${first}` : undefined);
  return more === undefined || longer === '' ? name : name + more;
}

/** What the person does: the words from the one that says so, up to a preposition or the end of the clause. */
function postIn(gap: string, hasHouse: boolean): Stretch | undefined {
  const apposed = hasHouse && !SPEAKS_OF_WORK.test(gap) ? APPOSED.exec(gap)?.groups?.['post'] : undefined;
  if (apposed !== undefined) {
    const from = gap.lastIndexOf(apposed);
    return { from, to: from + apposed.length };
  }
  const clause = /[^,;]*$/u.exec(gap.replace(/[\s,]+$/u, ''));
  for (const piece of clause ? [clause, { 0: gap, index: 0 }] : []) {
    // An article may hang on: "l’accordatore".
    const found = POST.exec(piece[0].replace(/['’]/g, ' '));
    if (!found) continue;
    const lead = /^[\s/&(,-]*/.exec(found[0])?.[0].length ?? 0;
    const from = piece.index + found.index + lead;
    const words =
      /^\S+(?:\s+(?:de|di|do|da)\s+\p{Ll}[\p{L}-]+|\s+(?!(?:at|bei|der|des|chez|au|di|da|do|de|hos|på|of|for|a|em|en|w|v)\s?)[\p{L}-]+)?/u.exec(
        gap.slice(from),
      );
    const text = (words?.[0] ?? '')
      .replace(/[\s,.]+(?:at|bei|beim|chez|au|von|della|del|da|do|de|hos|på|i|w|v|của|و)?$/u, '')
      .replace(/[,.]+$/, '');
    return text === '' ? undefined : { from, to: from + text.length };
  }
  return undefined;
}

function eastAsianMarks(line: TextLine): TextSpan[] {
  for (const form of EAST_ASIAN) {
    const found = form.exec(line.text);
    if (!found?.groups) continue;
    const marks = (['name', 'house', 'post'] as const).flatMap((group) => {
      const value = found.groups?.[group];
      if (value === undefined || value === '') return [];
      const start =
        line.start + found.index + (group === 'name' ? found[0].lastIndexOf(value) : found[0].indexOf(value));
      const field = group === 'house' ? ('organisation' as const) : group;
      return [{ start, end: start + value.length, field }];
    });
    const house = found.groups['house'] ?? '';
    if (
      HOUSE.test(house) ||
      isKoreanName(found.groups['name'] ?? '') ||
      /学|公司|厂|廠|局|会|社|店|院|館|刊|部|団/u.test(house)
    )
      return marks;
  }
  return [];
}
