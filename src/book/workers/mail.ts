import { expose } from 'comlink';

import { decodeUtf8, errorMessage } from '@/core/base';
import type { Uid } from '@/core/card';
import {
  type AppointmentTalks,
  appointmentTalks,
  guessOwnAddresses,
  type MailHead,
  type MailPart,
  mergeUnfiled,
  MonthBuffers,
  readAppointments,
  readMailHead,
  type Signature,
  type Talk,
  type TalkMatcher,
  toCorrespondence,
  type Unfiled,
} from '@/core/talks';
import { localMoment } from '@/platform/clock';

import { mailText } from './mailText';
import { type MailFile, readMailFile } from './readMailFile';

/** What messages and appointments are matched with. */
export interface MatchOptions {
  readonly own: readonly string[];
  readonly addresses: readonly (readonly [address: string, uids: readonly Uid[]])[];
  readonly today: string;
  readonly intake: string;
  /** Whether what was written is kept, too. */
  readonly withTexts: boolean;
}

/** What was in some files. */
export interface MailReport {
  readonly messages: number;
  readonly appointments: number;
  /** Talks with somebody who has a card; among them may be known ones. */
  readonly talks: number;
  readonly unfiled: readonly Unfiled[];
  readonly meetings: AppointmentTalks['meetings'];
  /** The end of the last message of everybody who has a card and wrote, where texts are kept. */
  readonly signatures: readonly Signature[];
  /** "what.txt: there is no message in it". */
  readonly problems: readonly string[];
}

/** Takes on the talks of a month; awaited, so that reading never runs ahead of writing. */
export type TalkSink = (month: string, talks: readonly Talk[]) => Promise<void>;
/** Called with the progress, 0 to 1, and the number of messages read. */
export type MailProgress = (share01: number, messages: number) => void;

/** What the page may ask of the worker that reads mail and calendars. */
export interface MailApi {
  /** Addresses that are likely the user's own, by the first messages. */
  guessOwn(files: readonly File[]): Promise<string[]>;
  read(
    files: readonly File[],
    options: MatchOptions,
    onTalks: TalkSink,
    onProgress: MailProgress,
  ): Promise<MailReport>;
}

/** Messages that are looked at for the user's own addresses. */
const LOOKED_AT = 400;
/** Messages between two reports of progress. */
const PROGRESS_EVERY = 500;
/** Letters at the end of a message in which a signature may stand. */
const SIGNED = 1200;
/** Years of appointments to come that are read. */
const YEARS_AHEAD = 1;

const api: MailApi = {
  guessOwn: async (files) => {
    const heads: MailHead[] = [];
    for (const file of files)
      await readMailFile(file, {
        withBodies: false,
        onPart: (part) => {
          const head = part.kind === 'mail' ? readMailHead(part.mail.head) : undefined;
          if (head) heads.push(head);
          return heads.length < LOOKED_AT;
        },
      });
    return guessOwnAddresses(heads);
  },
  read: async (files, options, onTalks, onProgress) => {
    const reading = new Reading(options, onTalks);
    const size = files.reduce((sum, file) => sum + file.size, 0);
    let before = 0;
    for (const file of files) {
      await reading.readFile(file, (octets) => {
        if (reading.messages % PROGRESS_EVERY === 0)
          onProgress((before + octets) / Math.max(1, size), reading.messages);
      });
      before += file.size;
    }
    return reading.finish();
  },
};
expose(api);

/** One import: what has been read so far. */
class Reading {
  messages = 0;
  private appointments = 0;
  private talks = 0;
  private readonly buffers = new MonthBuffers();
  private readonly unfiled = new Map<string, Unfiled>();
  private readonly meetings: AppointmentTalks['meetings'][number][] = [];
  private readonly problems: string[] = [];
  private readonly signatures = new Map<Uid, Signature>();
  private readonly matcher: TalkMatcher;

  constructor(
    private readonly options: MatchOptions,
    private readonly onTalks: TalkSink,
  ) {
    const known = new Map(options.addresses);
    this.matcher = {
      own: new Set(options.own),
      uidsOf: (address) => known.get(address) ?? [],
      toOwnMoment: localMoment,
      intake: options.intake,
    };
  }

  async readFile(file: File, onOctets: (octets: number) => void): Promise<void> {
    const found = this.messages + this.appointments;
    const name = file.name;
    try {
      await readMailFile(file, {
        withBodies: this.options.withTexts,
        onPart: async (part) => {
          await this.take(part);
          onOctets(part.octets);
          if (this.buffers.isFull) await this.flush(false);
          return true;
        },
      });
      if (this.messages + this.appointments === found)
        this.problems.push(`${name}: there is no message and no appointment in it`);
    } catch (error) {
      this.problems.push(`${name}: ${errorMessage(error)}`);
    }
  }

  async finish(): Promise<MailReport> {
    await this.flush(true);
    const { messages, appointments, talks, meetings, problems } = this;
    const [unfiled, signatures] = [[...this.unfiled.values()], [...this.signatures.values()]];
    return { messages, appointments, talks, unfiled, meetings, signatures, problems };
  }

  private async take(part: MailFile): Promise<void> {
    if (part.kind === 'mail') return this.takeMail(part.mail);
    const year = Number(this.options.today.slice(0, 4));
    const found = readAppointments(decodeUtf8(part.bytes) ?? '', {
      ...{ from: '1970-01-01', to: `${year + YEARS_AHEAD}-12-31` },
    });
    this.appointments += found.length;
    const { talks, meetings } = appointmentTalks(found, this.matcher, this.options.today);
    this.meetings.push(...meetings);
    for (const talk of talks) this.addTalk(talk);
  }

  private async takeMail(mail: MailPart): Promise<void> {
    const head = readMailHead(mail.head);
    if (!head) return;
    this.messages += 1;
    const said = this.options.withTexts ? await mailText(mail) : '';
    const { talk, unfiled } = toCorrespondence(head, this.matcher, said);
    if (talk.with.length > 0) this.addTalk(talk);
    const [uid] = talk.with;
    // An address that several share says nothing of one of them.
    if (talk.direction === 'in' && said !== '' && uid !== undefined && talk.with.length === 1)
      if ((this.signatures.get(uid)?.day ?? '') <= talk.day)
        this.signatures.set(uid, { uid, day: talk.day, text: said.slice(-SIGNED) });
    for (const { name, address } of unfiled) {
      const key = address.toLowerCase();
      const one: Unfiled = { address: key, name, count: 1, last: talk.day, talks: [{ ...talk, with: [] }] };
      this.unfiled.set(key, mergeUnfiled(this.unfiled.get(key), one));
    }
  }

  private addTalk(talk: Talk): void {
    this.talks += 1;
    this.buffers.add(talk);
  }

  private async flush(isLast: boolean): Promise<void> {
    for (const [month, talks] of this.buffers.take(isLast)) await this.onTalks(month, talks);
  }
}
