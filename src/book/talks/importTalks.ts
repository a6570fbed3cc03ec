import { type Job, readMailInWorker } from '@/book/clients';
import { changeBook, newStep, noteStep, storeTalks, undo } from '@/book/commit';
import { edited, type Step } from '@/book/history';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import type { MailReport } from '@/book/workers';
import { withMeeting } from '@/core/talks';
import { localDay } from '@/platform';
import { texts } from '@/texts/talks/talks';

import { lookForNews } from './news/changeNews';
import { addressBook, putUnfiled } from './unfiled/changeUnfiled';

/** How many files' talks are still to come nobody knows. */
const UNDER_WAY = { next: 0, pieces: 0 };

/** The result of importing mail and calendars. */
export interface ImportedTalks extends Omit<MailReport, 'unfiled' | 'meetings' | 'signatures'> {
  /** Talks that weren't known yet. */
  readonly added: number;
  /** Addresses that were written to and have no card. */
  readonly unfiled: number;
  /** Appointments to come, put on cards. */
  readonly meetings: number;
  /** The step that can be undone; undefined where nothing was new. */
  readonly changeId: string | undefined;
}

interface TakeOptions {
  readonly source: string;
  /** Whether what was written is kept, too. */
  readonly withTexts: boolean;
  /** No notice is shown: the user didn't just ask for it. */
  readonly isQuiet?: boolean;
  /** Told how far it is, 0 to 1, how many messages were read and how many talks were new. */
  readonly onProgress: (share01: number, messages: number, added: number) => void;
  /** Called with the job when it begins, so that it can be stopped; what has been imported so far is then undone. */
  readonly onJob: (job: Job<unknown>) => void;
}

/** Reads mail and calendars; replaced in tests, which have no workers. */
export type ReadMail = typeof readMailInWorker;

/**
 * Imports mail and calendars as talks, in one step of the history. The step is recorded first, as one under way: what a
 * closed page leaves half done is found at the next start, to be kept or undone. Importing the same files again adds only
 * what is missing.
 */
export function importTalks(
  files: readonly File[],
  options: TakeOptions,
  read: ReadMail = readMailInWorker,
): AppThunk<Promise<ImportedTalks>> {
  return async (dispatch, _, services) => {
    const intake = services.newUid().slice(-12);
    const begun = newStep(services, {
      ...{ cause: 'import', label: texts.importedTalksFrom(options.source), intake },
      at: services.utcNow(),
    });
    try {
      const taken = await services.ifAlone(begun.id, () =>
        dispatch(take({ ...begun, intake }, files, options, read)),
      );
      if (taken) return taken;
      // Nobody else can be at what has just got its name.
      throw new Error(`${begun.id} is taken`);
    } catch (error) {
      // Stopped or failed: what has been imported is undone.
      void dispatch(undo(begun.id));
      throw error;
    }
  };
}

function take(
  begun: Step & { readonly intake: string },
  files: readonly File[],
  options: TakeOptions,
  read: ReadMail,
): AppThunk<Promise<ImportedTalks>> {
  return async (dispatch, getState) => {
    const note = (step: Step) => void dispatch(noteStep(step, undefined, []));
    // What comes by itself comes again by itself, and nobody is asked about it.
    const underWay = options.isQuiet === true ? {} : { todo: UNDER_WAY };
    let isNoted = false;
    let added = 0;
    let last: [share01: number, messages: number] = [0, 0];
    const say = () => options.onProgress(...last, added);
    const job = read(
      files,
      {
        ...{ intake: begun.intake, own: selectSettings(getState()).ownAddresses, today: localDay() },
        addresses: [...addressBook(selectCardsByUid(getState()).values())],
        withTexts: options.withTexts,
      },
      async (month, talks) => {
        if (!isNoted) note({ ...begun, ...underWay });
        isNoted = true;
        added += (await dispatch(storeTalks(month, talks))).length;
        note({ ...begun, talks: added, ...underWay });
        say();
      },
      (share01, messages) => {
        last = [share01, messages];
        say();
      },
    );
    options.onJob(job);
    const { unfiled, meetings, signatures, ...report } = await job.result;
    await dispatch(putUnfiled(unfiled));
    void dispatch(lookForNews(signatures));
    const edits = meetings.flatMap(({ id, uids, meeting }) =>
      uids.map((uid) => edited(uid, (now) => withMeeting(now, id, meeting))),
    );
    const label = texts.importedTalks(added, options.source);
    // Everything was known already: there is nothing to undo.
    if (isNoted && added === 0) note({ ...begun, state: 'dropped' });
    const isNew = added > 0 || edits.length > 0;
    const completes = added > 0 ? { ...begun, talks: added } : undefined;
    const change = isNew
      ? await dispatch(
          changeBook({ cause: 'import', label, edits, completes, isQuiet: options.isQuiet === true }),
        )
      : undefined;
    return { ...report, added, unfiled: unfiled.length, meetings: meetings.length, changeId: change?.id };
  };
}
