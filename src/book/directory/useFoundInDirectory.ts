import { useEffect, useState } from 'react';

import { useServices } from '@/book/state';
import { initialsOf, organisationOf, preferredEntry, shownAs } from '@/core/card';
import { askHub } from '@/platform';

import { readDirectorySession } from './directorySession';
import { cardOfEntry } from './lookInDirectory';

/** Milliseconds after the last letter before the hub is asked. */
const PAUSE_MS = 150;
/** Letters that are typed at least: fewer would find everybody. */
const MIN_LETTERS = 2;

/** Somebody of the directory who was found. */
export interface FoundInDirectory {
  readonly uid: string;
  readonly name: string;
  readonly initials: string;
  readonly isOrg: boolean;
  /** Where they belong to; '' where that isn't said. */
  readonly house: string;
  /** undefined where they can't be written to. */
  readonly address: string | undefined;
}

/** People of the common directory, by what is typed; nobody where this browser isn't signed in. */
export function useFoundInDirectory(typed: string, limit: number): readonly FoundInDirectory[] {
  const { storage } = useServices();
  const [found, setFound] = useState<{ text: string; people: readonly FoundInDirectory[] }>();
  useEffect(() => {
    if (typed.length < MIN_LETTERS) return;
    let isCurrent = true;
    const look = async () => {
      const session = await readDirectorySession({ storage });
      if (!session) return;
      const path = `/directory/entries?q=${encodeURIComponent(typed)}`;
      const answer = await askHub({ path, token: session.token, scheme: 'Directory' });
      if (isCurrent) setFound({ text: typed, people: peopleIn(answer) });
    };
    // Without the hub, or with a session that has ended, the Book's own people are found all the same.
    const timer = setTimeout(() => void look().catch(() => undefined), PAUSE_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [typed, storage]);
  return found?.text === typed ? found.people.slice(0, limit) : NOBODY;
}

const NOBODY: readonly FoundInDirectory[] = [];

function peopleIn(answer: unknown): FoundInDirectory[] {
  const entries: unknown[] = Array.isArray(answer) ? answer : [];
  return entries.flatMap((entry) => {
    const card = cardOfEntry(entry);
    if (!card) return [];
    const address = preferredEntry(card.emails)?.address;
    const person = { uid: card.uid, name: shownAs(card), initials: initialsOf(card), address };
    return [{ ...person, isOrg: card.kind === 'org', house: organisationOf(card) ?? '' }];
  });
}
