import { isGivenName } from './givenNames';
import { nameScore } from './nameScore';
import type { TextSpan } from './spans';
import type { TextLine } from './textLines';
import { HOUSE, POST } from './whoWords';

/** How people say who they are, in the middle of a sentence. Common practice; from memory. */
const INTRODUCTION =
  /(?:^|[\s.!?,;:(])(?:this is|it['’]s|here is|i am|i['’]m|my name is|hier ist|hier spricht|ich bin|ich hei(?:ß|ss)e|mein name ist|c['’]est|ici|je suis|je m['’]appelle|soy|me llamo|mi nombre es|habla|sono|mi chiamo|il mio nome è|dit is|ik ben|mijn naam is|z tej strony|tu|jestem|nazywam się|sou(?: [oa])?|aqui é|fala|(?:o )?meu nome é|det här är|jag heter|mitt namn är|det er|jeg heter|jeg hedder|minä olen|nimeni on|tady|jmenuji se|benim adım|ben|tôi là|أنا|معك|我是|这是|這是)[\s:]*/giu;

/** Between a person and where they are from. */
const FROM =
  /^\s*,?\s*(?:from(?: the)?|of|at|with|von(?: der| dem)?|vom|aus(?: der| dem)?|de l['’]\s?|de la|du|des|del|della|dell['’]\s?|da|do|de|di|van(?: de| het)?|z|ze|från|fra|hos|từ|من|来自|來自)\s*/iu;

/** A name as it stands in a sentence: words with capitals, and the small words between them. */
const NAME = new RegExp(
  [
    // Small words belong to a name that has had no surname yet: "Anna van der Wiel", but "Anna Wiel von der Druckerei".
    String.raw`^WORD\s+(?:(?:de|del|da|dos|van|von|der|den|la|le|af|av)\s+)+WORD`,
    String.raw`^WORD(?:\s+WORD){0,3}`,
    String.raw`^\p{Script=Han}{2,4}(?=[，,。、的来來]|$)`,
    String.raw`^\p{Script=Arabic}+(?:\s\p{Script=Arabic}+)?`,
  ]
    .join('|')
    .replaceAll('WORD', String.raw`\p{Lu}[\p{L}\p{M}'’-]*\.?`),
  'u',
);
/** An organisation as it stands in a sentence. */
const HOUSE_NAME =
  /^(?:\p{L}+\s+)?\p{Lu}[\p{L}\p{M}\d'’&-]*(?:\s+(?:(?:&|and|und|et|y|e|og|och|i|of|de|der|do|da)\s+)?\p{Lu}[\p{L}\p{M}\d'’&-]*){0,4}/u;

/** Who says in a sentence who they are, and where they are from: "this is Ana from Quay Strings, my new number is …". */
export function findIntroductions(lines: readonly TextLine[], locals: readonly string[]): TextSpan[] {
  for (const line of lines)
    for (const found of line.text.matchAll(INTRODUCTION)) {
      const at = found.index + found[0].length;
      const name = nameAt(line.text.slice(at), locals);
      if (name === undefined) continue;
      const house = houseAt(line.text, at + name.text.length);
      // Two words with capitals may be anything, but hardly where somebody says where they are from.
      if (!name.isSure && !house) continue;
      const mark: TextSpan = {
        start: line.start + at,
        end: line.start + at + name.text.length,
        field: 'name',
      };
      return house
        ? [mark, { start: line.start + house.from, end: line.start + house.to, field: 'organisation' }]
        : [mark];
    }
  return [];
}

/** The name that a sentence goes on with; sure where its first word is a given name or much else speaks for it. */
function nameAt(rest: string, locals: readonly string[]): { text: string; isSure: boolean } | undefined {
  const words = NAME.exec(rest)?.[0]
    .replace(/[.,]+$/, '')
    .trim();
  if (words === undefined || HOUSE.test(words) || POST.test(words)) return undefined;
  const [first = ''] = words.split(/\s+/);
  const score = nameScore(words, locals);
  const isSure = isGivenName(first) || score >= 3;
  return isSure || (words.includes(' ') && score >= 2) ? { text: words, isSure } : undefined;
}

function houseAt(text: string, end: number): { from: number; to: number } | undefined {
  const gap = FROM.exec(text.slice(end))?.[0];
  if (gap === undefined) return undefined;
  const name = HOUSE_NAME.exec(text.slice(end + gap.length))?.[0];
  const [first = ''] = name?.split(' ') ?? [];
  // A small word belongs to the name where it names what sort of house it is: "l’atelier Beauclair".
  if (name === undefined || (!/^\p{Lu}/u.test(first) && !HOUSE.test(first))) return undefined;
  return { from: end + gap.length, to: end + gap.length + name.length };
}
