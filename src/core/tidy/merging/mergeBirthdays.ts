import { formatPartialDate, isSameJson, type PartialDate, toPartialDate } from '@/core/base';
import { type Card, formatAddress, type Uid } from '@/core/card';
import { texts } from '@/texts/tidy/merging';

type Anniversary = NonNullable<Card['anniversaries']>[string];

/** There is only one birthday: of different ones the chosen, else the most complete; what the others say beside it goes to the note. */
export function withOneBirthday(
  merged: Card,
  all: readonly Card[],
  chosen: Uid | undefined,
  also: string[],
): Card {
  const births = Object.entries(merged.anniversaries ?? {}).filter(([, { kind }]) => kind === 'birth');
  if (births.length < 2) return merged;
  const chosenDate = Object.values(all.find(({ uid }) => uid === chosen)?.anniversaries ?? {}).find(
    ({ kind }) => kind === 'birth',
  )?.date;
  const taken =
    births.find(([, { date }]) => chosenDate !== undefined && isSameJson(date, chosenDate)) ??
    [...births].sort(([, a], [, b]) => partsOf(toPartialDate(b.date)) - partsOf(toPartialDate(a.date)))[0];
  const rest = { ...merged.anniversaries };
  for (const [id, other] of births) {
    if (!taken || id === taken[0]) continue;
    delete rest[id];
    const said = saidOf(other);
    const known = saidOf(taken[1]);
    const isPart = isPartOf(toPartialDate(other.date), toPartialDate(taken[1].date));
    if (!isPart || said.slice(1).some((text) => !known.includes(text)))
      also.push(`${texts.birthday}: ${said.join(', ')}`);
  }
  return { ...merged, anniversaries: rest };
}

/** What there is to say of a day: the date, the place, its label and what it is used for. */
function saidOf({ date, place, label, contexts = {} }: Anniversary): string[] {
  const { calendarScale, ...day } = toPartialDate(date);
  const where = place ? [...formatAddress(place), place.coordinates, place.countryCode, place.timeZone] : [];
  const at = 'utc' in date ? date.utc : undefined;
  const all = [formatPartialDate(day, 'en-GB'), at, calendarScale, ...where, label, ...Object.keys(contexts)];
  return all.filter((text) => text !== undefined);
}

function partsOf({ year, month, day }: PartialDate): number {
  return [year, month, day].filter((part) => part !== undefined).length;
}

function isPartOf(part: PartialDate, whole: PartialDate): boolean {
  return (['year', 'month', 'day'] as const).every(
    (key) => part[key] === undefined || part[key] === whole[key],
  );
}
