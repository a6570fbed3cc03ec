import { useCallback, useEffect } from 'react';
import type { UseFormReturn } from 'react-hook-form';

import { changeBook, noticed, useAppDispatch, useCardGetter } from '@/book';
import { type Card, rebaseJson, shownAs } from '@/core/card';
import { type CardForm, findCountryCode, fromForm } from '@/core/editing';
import { cardPath, focusFirstInvalid, LOCALE, onKeyPress } from '@/platform';
import { go, goBack } from '@/platform/navigation';

interface SaveOptions {
  readonly base: Card;
  readonly isNew: boolean;
  readonly form: UseFormReturn<CardForm>;
  readonly release: () => void;
}

/** Saving what is in the form, and leaving without; also by keys: Ctrl Enter and Escape. */
export function useSaveCard({ base, isNew, form, release }: SaveOptions): {
  save: () => void;
  close: () => void;
} {
  const dispatch = useAppDispatch();
  const getCard = useCardGetter();
  const path = cardPath(base.uid);
  const keep = async (values: CardForm) => {
    const edited = fromForm(base, values, {
      locale: LOCALE,
      findCountryCode: (name) => findCountryCode(name, LOCALE),
    });
    const current = getCard(base.uid);
    const card = current ? rebaseJson(base, edited, current) : edited;
    const label = `${isNew ? 'Added' : 'Changed'} ${shownAs(card)}`;
    await dispatch(changeBook({ cause: isNew ? 'add' : 'edit', label, upserts: [card] }));
    release();
    go(path, 'replace');
  };
  const save = useCallback(() => {
    form
      .handleSubmit(keep, () => void focusFirstInvalid())()
      .catch((error: Error) =>
        dispatch(
          noticed({ text: `Not saved: ${error.message}. Everything typed is still here.`, tone: 'error' }),
        ),
      );
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what it closes over stays the same for one card
  }, [form, dispatch, base]);
  const close = useCallback(() => goBack(isNew ? '/book' : path), [isNew, path]);
  useEffect(
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
  return { save, close };
}
