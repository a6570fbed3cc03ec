import { writeInvitationInWorker } from '@/book/clients';
import { type AppThunk, noticeShown } from '@/book/state';
import { errorMessage } from '@/core/base';
import type { Invitation } from '@/core/formats';
import { fileName, shareFile, utcOf } from '@/platform';
import { texts } from '@/texts/talks/talks';

/** Hands an appointment on as a calendar file, through the share sheet or as a file that is saved. */
export function sendMeeting(what: Omit<Invitation, 'startUtc' | 'stamp'>): AppThunk<Promise<void>> {
  return async (dispatch, _, { utcNow }) => {
    const { title, day, time } = what.meeting;
    try {
      const startUtc = time === undefined ? undefined : utcOf(day, time);
      const text = await writeInvitationInWorker({ ...what, startUtc, stamp: utcNow() }).result;
      const type = `text/calendar;charset=utf-8;method=${what.method}`;
      const handed = await shareFile(fileName(title, 'ics'), text, type);
      if (handed === 'saved')
        dispatch(noticeShown({ text: texts.savedInvitationToAsFile(title), tone: 'plain' }));
    } catch (error) {
      const reason = errorMessage(error);
      dispatch(noticeShown({ text: texts.invitationCouldNotBeWritten(reason), tone: 'error' }));
    }
  };
}
