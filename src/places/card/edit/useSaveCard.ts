import { useCallback, useLayoutEffect } from 'react';
import type { UseFormReturn } from 'react-hook-form';

import { selectOrganisations } from '@/book/card';
import { changeBook } from '@/book/commit';
import { added, changed, editsTo } from '@/book/history';
import { noticeShown, useAppDispatch, useAppSelector, useCardGetter, useServices } from '@/book/state';
import { findCountryCode } from '@/core/base';
import {
  type Card,
  type CardForm,
  fromForm,
  newCard,
  parseName,
  rebaseJson,
  relateBack,
  renameOrganisation,
  shownAs,
} from '@/core/card';
import { cardPath, focusFirstInvalid, LOCALE, onKeyPress } from '@/platform';
import { go, goBack } from '@/platform/navigation';
import { texts } from '@/texts/card/edit';

import { useNameOf } from './useNameOf';

interface SaveOptions {
  readonly base: Card;
  readonly isNew: boolean;
  readonly form: UseFormReturn<CardForm>;
  readonly release: () => void;
  /** Begins the next new card. */
  readonly onNext?: (() => void) | undefined;
}

/** Saving what is in the form, and leaving without; also by keys: Ctrl Enter and Escape. */
export function useSaveCard({ base, isNew, form, release, onNext }: SaveOptions): {
  save: () => void;
  saveAndNext: () => void;
  close: () => void;
} {
  const dispatch = useAppDispatch();
  const getCard = useCardGetter();
  const nameOf = useNameOf();
  const { newUid, utcNow } = useServices();
  const organisations = useAppSelector(selectOrganisations);
  const path = cardPath(base.uid);
  /** Cards for related people who have none yet; the rows are told their uids. */
  const makeRelated = (values: CardForm): { values: CardForm; made: Card[] } => {
    const made: Card[] = [];
    const relations = values.relations.map((row) => {
      const isKnown = row.id !== '' && !row.id.startsWith('new-');
      const name = isKnown || row.text.trim() === '' ? undefined : parseName(row.text);
      if (!name) return isKnown ? row : { ...row, id: '' };
      const card: Card = { ...newCard(newUid(), utcNow()), kind: 'individual', name };
      made.push(card);
      return { ...row, id: card.uid };
    });
    return { values: { ...values, relations }, made };
  };
  /** An organisation's new name, on the cards of its people. */
  const renameEverywhere = (before: Card | undefined, after: Card): Card[] => {
    const [from, to] = [before ? shownAs(before) : '', shownAs(after)];
    if (after.kind !== 'org' || from === '' || from === to) return [];
    const people = organisations.findPeople(from).flatMap((uid) => getCard(uid) ?? []);
    return people.map((person) => renameOrganisation(person, from, to));
  };
  const keep = async (typed: CardForm) => {
    const { values, made } = makeRelated(typed);
    const edited = fromForm(base, values, {
      locale: LOCALE,
      findCountryCode: (name) => findCountryCode(name, LOCALE),
      nameOf,
    });
    const current = getCard(base.uid);
    const card = current ? rebaseJson(base, edited, current) : edited;
    const others = relateBack(current, card, (uid) => made.find((one) => one.uid === uid) ?? getCard(uid));
    const untouched = made.filter(({ uid }) => !others.some((other) => other.uid === uid));
    const renamed = renameEverywhere(current, card).filter(
      ({ uid }) => !others.some((other) => other.uid === uid),
    );
    const along = renamed.length === 0 ? '' : texts.andItsNameOnMore(renamed.length);
    const label = `${isNew ? texts.added : texts.changed} ${shownAs(card)}${along}`;
    const edits = [
      isNew ? added(card) : changed(base, edited),
      ...editsTo([...others, ...untouched, ...renamed], getCard),
    ];
    await dispatch(changeBook({ cause: isNew ? 'add' : 'edit', label, edits }));
    release();
  };
  const submit = (after: () => void) => {
    form
      .handleSubmit(
        (values) => keep(values).then(after),
        () => void focusFirstInvalid(),
      )()
      .catch((error: Error) =>
        dispatch(
          noticeShown({
            text: texts.notSavedEverythingTyped(error.message),
            tone: 'error',
          }),
        ),
      );
  };
  // What these close over stays the same for one card.
  /* eslint-disable react-hooks/exhaustive-deps */
  const save = useCallback(() => submit(() => go(path, 'replace')), [form, dispatch, base, organisations]);
  const saveAndNext = useCallback(
    () => submit(() => onNext?.()),
    [form, dispatch, base, organisations, onNext],
  );
  /* eslint-enable react-hooks/exhaustive-deps */
  const close = useCallback(() => goBack(isNew ? '/book' : path), [isNew, path]);
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isInDialog, isInQuickLine }) => {
        if (isInDialog || isInQuickLine) return false;
        if (key === 'Enter' && isCommand) save();
        else if (key === 'Escape') close();
        else return false;
        return true;
      }),
    [save, close],
  );
  return { save, saveAndNext, close };
}
