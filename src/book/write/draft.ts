import { z } from 'zod';

import type { AppThunk } from '@/book/state';
import { KEYS, keysUnder, parseJson } from '@/book/store';
import type { Uid } from '@/core/card';

const toSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('card'), uid: z.string() }),
  z.object({ kind: z.literal('list'), uid: z.string() }),
  z.object({ kind: z.literal('address'), address: z.string(), name: z.string() }),
]);
/** Whom a draft is addressed to, as it was chosen. */
export type DraftTo = z.infer<typeof toSchema>;

/** Where in a message somebody stands, or that they don't get it. */
export const PLACES_OF = ['to', 'cc', 'bcc', 'off'] as const;
/** Where in a message somebody stands. */
export type PlaceOf = (typeof PLACES_OF)[number];

const draftSchema = z.object({
  to: z.array(toSchema).catch([]),
  /** Where somebody stands who was moved, by the key of the recipient. */
  places: z.record(z.string(), z.enum(PLACES_OF)).catch({}),
  /** Where everybody else stands. */
  usual: z.enum(['to', 'bcc']).catch('to'),
  /** Addresses chosen for this message, by uid. */
  addressOf: z.record(z.string(), z.string()).catch({}),
  subject: z.string().catch(''),
  body: z.string().catch(''),
  /** Cards that go along as files, by their uids. */
  attached: z.array(z.string()).catch([]),
  /** A message to each instead of one to all. */
  isEach: z.boolean().catch(false),
});
/** A message that is being written. */
export type MailDraft = z.infer<typeof draftSchema>;

/** A message to nobody yet. */
export const emptyDraft: MailDraft = draftSchema.parse({});

/** The message being written. */
export function readDraft(): AppThunk<Promise<MailDraft>> {
  return async (_, __, { storage, writer }) => {
    await writer.flush();
    return draftSchema.parse(parseJson(await storage.getItem(KEYS.draft)) ?? {});
  };
}

/** Saves the message being written. */
export function keepDraft(draft: MailDraft): AppThunk {
  return (_, __, { writer }) => writer.put(KEYS.draft, JSON.stringify(draft));
}

/** A saved draft. */
export interface SavedDraft {
  readonly id: string;
  /** UTCDateTime at which it was. */
  readonly at: string;
  readonly draft: MailDraft;
}

/** Whether a message is empty. */
function isEmptyDraft({ to, subject, body, attached }: MailDraft): boolean {
  return to.length === 0 && attached.length === 0 && subject.trim() === '' && body.trim() === '';
}

const laidSchema = z.object({ at: z.string(), draft: draftSchema });

/** The saved drafts, the latest first. */
export function readDrafts(): AppThunk<Promise<SavedDraft[]>> {
  return async (_, __, { storage, writer }) => {
    await writer.flush();
    const keys = keysUnder(await storage.getAllKeys(), KEYS.aDraft);
    const stored = await storage.getMany(keys);
    const laid = keys.flatMap((key) => {
      const { data } = laidSchema.safeParse(parseJson(stored[key]));
      return data ? [{ ...data, id: key.slice(KEYS.aDraft.length) }] : [];
    });
    return laid.sort((a, b) => (a.at < b.at ? 1 : -1));
  };
}

/** Saves a message as a draft, unless it is empty. */
export function saveDraft(draft: MailDraft): AppThunk {
  return (_, __, { writer, newUid, utcNow }) => {
    if (isEmptyDraft(draft)) return;
    writer.put(`${KEYS.aDraft}${newUid().slice(-12)}`, JSON.stringify({ at: utcNow(), draft }));
  };
}

/** Deletes a draft: it is being edited again, or isn't wanted. */
export function dropDraft(id: string): AppThunk<Promise<void>> {
  return async (_, __, { storage, writer }) => {
    await writer.flush();
    await storage.removeMany([`${KEYS.aDraft}${id}`]);
  };
}

/** Addresses the message that is being written to some more; to be called before its page is opened. */
export function writeTo(
  to: readonly DraftTo[],
  {
    subject,
    attached = [],
  }: { readonly subject?: string | undefined; readonly attached?: readonly Uid[] } = {},
): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    const draft = await dispatch(readDraft());
    const known = new Set(draft.to.map((one) => JSON.stringify(one)));
    const more = to.filter((one) => !known.has(JSON.stringify(one)));
    // What has been written about already stays.
    const about = subject === undefined || draft.subject !== '' ? {} : { subject };
    const along = [...new Set([...draft.attached, ...attached])];
    dispatch(keepDraft({ ...draft, to: [...draft.to, ...more], ...about, attached: along }));
    await writer.flush();
  };
}

/** A message to cards. */
export const cardsTo = (uids: readonly Uid[]): DraftTo[] => uids.map((uid) => ({ kind: 'card', uid }));
