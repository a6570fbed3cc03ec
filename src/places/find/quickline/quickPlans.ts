import { createContext } from 'react';

import type { parseQuick, planAct, planNew, planQuick, planReading } from '@/core/find';

/** What plans the acts of the quick line; loaded when the line is first used, as it knows numbers and dates. */
export interface QuickPlans {
  readonly parseQuick: typeof parseQuick;
  readonly planAct: typeof planAct;
  readonly planNew: typeof planNew;
  readonly planQuick: typeof planQuick;
  readonly planReading: typeof planReading;
}

/** Loads it; without it the line only finds. */
export const QuickPlansContext = createContext<(() => Promise<QuickPlans>) | undefined>(undefined);
