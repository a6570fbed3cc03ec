import { putCalendar } from '@/platform';

import type { AppThunk } from '../appStore';
import { selectCardsByUid } from '../cards/cardsSlice';
import { writeFileInWorker } from '../clients/filesClient';
import { selectSettings } from '../settings/settingsSlice';

/** Gives the hub the days of all cards that are not private; nothing where no address is set. @throws Error as putCalendar */
export function publishCalendar(): AppThunk<Promise<void>> {
  return async (_, getState) => {
    const { calendarToken, leapDay } = selectSettings(getState());
    if (calendarToken === '') return;
    const cards = selectCardsByUid(getState())
      .values()
      .filter((card) => card.anniversaries && card['cordialis.example:private'] !== true);
    await putCalendar(
      calendarToken,
      await writeFileInWorker(cards, 'ics', () => undefined, { leapDay }).result,
    );
  };
}
