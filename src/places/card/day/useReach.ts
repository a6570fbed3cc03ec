import { selectSettings, useAppSelector } from '@/book/state';
import { type Card, greetingFor, type Reach, reachOf } from '@/core/card';

import type { PersonOfDay } from './personOfDay';

/** The ways to reach somebody, with the greeting of the day where there is one. */
export function useReach(card: Card, occasion: PersonOfDay['occasion']): Reach {
  const { country } = useAppSelector(selectSettings);
  const reach = reachOf(card, country);
  if (occasion !== 'birth' && occasion !== 'wedding') return reach;
  const text = encodeURIComponent(greetingFor(card, occasion));
  return {
    ...reach,
    ...(reach.message === undefined ? {} : { message: `${reach.message}?body=${text}` }),
    ...(reach.write === undefined ? {} : { write: `${reach.write}?subject=${text}&body=${text}` }),
  };
}
