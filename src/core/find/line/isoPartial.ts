import type { PartialDate } from '@/core/base';

/** A date as ISO 8601 has it: "1968-05-03", "--05-03" without a year; undefined for anything less. */
export function formatIsoPartial({ year, month, day }: PartialDate): string | undefined {
  if (month === undefined || day === undefined) return undefined;
  const two = (figure: number) => String(figure).padStart(2, '0');
  return `${year === undefined ? '-' : String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
}

/** A date from that form. */
export function parseIsoPartial(text: string): PartialDate | undefined {
  const match = /^(\d{4}|-)-(\d{2})-(\d{2})$/.exec(text);
  if (!match) return undefined;
  const [, year, month, day] = match;
  return { ...(year === '-' ? {} : { year: Number(year) }), month: Number(month), day: Number(day) };
}
