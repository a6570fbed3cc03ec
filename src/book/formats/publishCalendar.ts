import { writeFileInWorker } from '@/book/clients';
import { type AppThunk, selectCardsByUid, selectHub, selectSettings } from '@/book/state';
import { putCalendar } from '@/platform';

/** Gives the hub the days of all cards that are not private; nothing where no address is set, or this browser isn't paired. @throws Error as putCalendar */
export function publishCalendar(): AppThunk<Promise<void>> {
  return async (_, getState) => {
    const { calendarToken, leapDay } = selectSettings(getState());
    const { pairing } = selectHub(getState());
    if (calendarToken === '' || !pairing) return;
    const cards = selectCardsByUid(getState())
      .values()
      .filter((card) => card.anniversaries && card['cordialis.example:private'] !== true);
    const file = await writeFileInWorker([cards], 'ics', () => undefined, { leapDay }).result;
    await putCalendar(calendarToken, await file.text(), pairing.token);
  };
}
