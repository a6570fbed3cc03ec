import { hashText } from '@/core/base';
import { normalizeAddress, type Uid } from '@/core/card';

import type { Talk } from '../talk';
import type { Meeting } from '../today/planned';
import type { Appointment } from './readAppointments';
import type { OwnMoment, TalkMatcher } from './toCorrespondence';

/** Past appointments as talks, and future ones with the people who come. */
export interface AppointmentTalks {
  readonly talks: readonly Talk[];
  readonly meetings: readonly {
    readonly id: string;
    readonly uids: readonly Uid[];
    readonly meeting: Meeting;
  }[];
}

/**
 * Appointments as talks; those with nobody who has a card are left out.
 *
 * @param today - ISO 8601 calendar date; what begins after it is still to come
 */
export function appointmentTalks(
  appointments: readonly Appointment[],
  matcher: TalkMatcher,
  today: string,
): AppointmentTalks {
  const talks: Talk[] = [];
  const meetings: AppointmentTalks['meetings'][number][] = [];
  for (const one of appointments) {
    const people = one.people
      .map(({ address }) => normalizeAddress(address))
      .filter((address) => !matcher.own.has(address));
    const uids = [...new Set(people.flatMap((address) => matcher.uidsOf(address)))];
    if (uids.length === 0) continue;
    const moment: Pick<OwnMoment, 'day'> & Partial<OwnMoment> =
      'day' in one.start ? { day: one.start.day } : matcher.toOwnMoment(one.start.atMs);
    const id = `c-${hashText(one.id)}`;
    const title = one.title.trim();
    if (moment.day > today) {
      const place = one.place.trim() === '' ? {} : { place: one.place.trim() };
      const meeting = { title: title || 'Meeting', minutes: one.minutes, ...moment, ...place };
      meetings.push({ id, uids, meeting });
      continue;
    }
    talks.push({
      ...{ id, kind: 'meeting', direction: 'both', ...moment, with: uids, said: '' },
      ...(title === '' ? {} : { about: title }),
      intake: matcher.intake,
    });
  }
  return { talks, meetings };
}
