import { pluralOf } from '../plural';

/** Undo and redo. */
export const texts = {
  undoingTalks: (month: string) => `Undoing talks: ${month}`,
  undone: 'Undone',
  redone: 'Redone',
  hadNotBegun: (label: string) => `“${label}” had not begun when the page was closed. Nothing was changed.`,
  undoing: (label: string, percent: number) => `Undoing “${label}”: ${percent} %`,
  redoing: (label: string, percent: number) => `Redoing “${label}”: ${percent} %`,
  partsOfItAreDamaged: (count: number) =>
    ` ${pluralOf(count, { one: 'A part of its record is', other: `${count} parts of its record are` })} damaged; what stood there stays as it is.`,
  newerValuesWereLeft: (missed: number) =>
    ` ${missed} newer ${pluralOf(missed, { one: 'value was', other: 'values were' })} left as they are.`,
};
