import { selectHub, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';

import { noteStepOver } from './remember';

/** What is worth doing once there are people in a book. */
export type NextStepId = 'country' | 'own' | 'hub' | 'backup';

/** One of them, and how it stands. */
export interface NextStep {
  readonly id: NextStepId;
  /** Done, or said to be of no use. */
  readonly isOver: boolean;
}

/** What is worth doing next, in the order of its use, and the way to call one done. */
export function useNextSteps(): {
  readonly steps: readonly NextStep[];
  readonly finish: (id: NextStepId) => void;
} {
  const dispatch = useAppDispatch();
  const { stepsOver, ownAddresses, lastBackupAt } = useAppSelector(selectSettings);
  const { pairing } = useAppSelector(selectHub);
  const isDone: Readonly<Record<NextStepId, boolean>> = {
    country: false,
    own: ownAddresses.length > 0,
    hub: pairing !== undefined,
    backup: lastBackupAt !== '',
  };
  const ids: readonly NextStepId[] = ['country', 'own', 'hub', 'backup'];
  return {
    steps: ids.map((id) => ({ id, isOver: isDone[id] || stepsOver.includes(id) })),
    finish: (id) => dispatch(noteStepOver(id)),
  };
}
