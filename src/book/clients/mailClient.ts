import { proxy } from 'comlink';

import type { MailApi, MailProgress, MatchOptions, TalkSink } from '@/book/workers';

import { type Job, runJob } from './runJob';

const start = () => new Worker(new URL('../workers/mail', import.meta.url));

/** Addresses that are likely the user's own, by the first messages of some files. */
export function guessOwnAddressesInWorker(files: readonly File[]): Job<string[]> {
  return runJob<MailApi, string[]>(start, (api) => api.guessOwn(files));
}

/** Reads mail and calendars, in a stream: the talks of a month go to `onTalks`, which is waited for. */
export function readMailInWorker(
  files: readonly File[],
  options: MatchOptions,
  onTalks: TalkSink,
  onProgress: MailProgress,
) {
  return runJob<MailApi, Awaited<ReturnType<MailApi['read']>>>(start, (api) =>
    api.read(files, options, proxy(onTalks), proxy(onProgress)),
  );
}
