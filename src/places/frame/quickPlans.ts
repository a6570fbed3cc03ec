import { createContext } from 'react';

import type * as quickline from '@/core/quickline';

/** What plans the acts of the quick line; loaded when the line is first used, as it knows numbers and dates. */
export type QuickPlans = typeof quickline;

/** Loads it; without one the line only finds. */
export const QuickPlansContext = createContext<(() => Promise<QuickPlans>) | undefined>(undefined);
