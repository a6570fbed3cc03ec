import { foldStrictly, isObject, isSameJson, strictWords } from '@/core/base';
import { carriersOf, compareEntries, type Entry, isBetterText, type United } from '@/core/card';

/** How an entry is typed, and by whom it is preferred: mine, and the smaller number. */
const ABOUT_IT = new Set(['@type', 'pref']);

/**
 * Two entries that say the same as one: the better writing of it, all uses and labels, and what only one of them says beside it.
 *
 * @returns undefined where both say something that an entry can say only once; `known` itself where the other adds nothing
 */
export function uniteEntry(
  collection: United,
  known: Entry,
  other: Entry,
  countries: readonly string[],
): Entry | undefined {
  const carriers = carriersOf(collection);
  const united: Record<string, unknown> = { ...other, ...known };
  for (const key of Object.keys(other)) {
    const [mine, theirs] = [known[key], other[key]];
    if (mine === undefined || isSameJson(mine, theirs) || ABOUT_IT.has(key)) continue;
    if (carriers.includes(key)) {
      if (isBetter(collection, key, [known, other], countries)) united[key] = theirs;
    } else if (key === 'contexts' || key === 'features')
      united[key] = { ...(theirs as object), ...(mine as object) };
    else if (key === 'label') united[key] = bothLabels(String(mine), String(theirs));
    else if (key === 'units') {
      const units = bothUnits(mine, theirs);
      if (!units) return undefined;
      united[key] = units;
    } else return undefined;
  }
  const prefs = [known['pref'], other['pref']].filter((pref) => typeof pref === 'number');
  if (prefs.length > 0) united['pref'] = Math.min(...prefs);
  const whole = collection === 'addresses' ? uniteAddress(known, other, united) : united;
  return isSameJson(whole, known) ? known : whole;
}

/** Whether the other's writing of a carrier is the better one, whatever else the two say. */
function isBetter(
  collection: United,
  key: string,
  [known, other]: readonly [Entry, Entry],
  countries: readonly string[],
): boolean {
  const [mine, theirs] = [known[key], other[key]];
  const isText = typeof mine === 'string' && typeof theirs === 'string';
  if (isText && collection !== 'phones') return isBetterText(theirs, mine);
  return compareEntries(collection, known, other, countries) === 'better';
}

/** An address with the text and the parts that say most; undefined where a word of either would be lost. */
function uniteAddress(known: Entry, other: Entry, united: Entry): Entry | undefined {
  const full = [known['full'], other['full']].filter((text) => typeof text === 'string');
  const fullest = full.sort((a, b) => strictWords(b).length - strictWords(a).length)[0];
  const address = { ...united, ...(fullest === undefined ? {} : { full: fullest }) };
  const said = ({ components, full: text }: Entry) => [...wordsIn(components), ...wordsIn(text)];
  const there = new Set(said(address));
  return [...said(known), ...said(other)].every((word) => there.has(word)) ? address : undefined;
}

function wordsIn(value: unknown): string[] {
  if (typeof value === 'string') return strictWords(value);
  if (Array.isArray(value))
    return value.flatMap((part) =>
      isObject(part) && part['kind'] !== 'separator'
        ? [...wordsIn(part['value']), ...wordsIn(part['phonetic'])]
        : [],
    );
  return [];
}

/** Between labels of what was given two. */
const BETWEEN = ' / ';

function bothLabels(mine: string, theirs: string): string {
  const known = new Set(mine.split(BETWEEN).map(foldStrictly));
  const further = theirs.split(BETWEEN).filter((label) => !known.has(foldStrictly(label)));
  return [mine, ...further].join(BETWEEN);
}

/** Units of an organisation: the longer list, with all that either says of each; undefined where they say different things of one. */
function bothUnits(mine: unknown, theirs: unknown): unknown[] | undefined {
  if (!Array.isArray(mine) || !Array.isArray(theirs)) return undefined;
  const units: unknown[] = [];
  for (let i = 0; i < Math.max(mine.length, theirs.length); i += 1) {
    const [own, other] = [mine[i] as unknown, theirs[i] as unknown];
    if (!isObject(own) || !isObject(other)) units.push(own ?? other);
    else {
      const isSame = Object.keys(other).every(
        (key) => key === 'name' || own[key] === undefined || isSameJson(own[key], other[key]),
      );
      if (!isSame) return undefined;
      units.push({ ...other, ...own });
    }
  }
  return units;
}
