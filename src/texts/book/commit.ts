import { pluralOf } from '../plural';

/** Undo and redo. */
export const texts = {
  undoingTalks: (month: string) => `Undoing talks: ${month}`,
  undone: 'Undone',
  redone: 'Redone',
  newerValuesWereLeft: (missed: number) =>
    ` ${missed} newer ${pluralOf(missed, { one: 'value was', other: 'values were' })} left as they are.`,
};
