import { useCallback, useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';

import { useExtract } from '@/book/extract';
import { type CardForm, type SpreadCounts, spreadForm, toForm } from '@/core/card';
import { LOCALE, onFieldPaste } from '@/platform';

/** A text longer than this is no signature; reading it would only take time. */
const MAX_CHARS = 4000;
/** What is compared with the corrections of a text that somebody marks by hand: here there are none. */
const NONE = [] as const;

interface Pasted {
  readonly text: string;
  /** The form as it was before. */
  readonly before: CardForm;
  readonly isSpread: boolean;
}

/** What a paste into any field of a card can be spread over, and the way there and back. */
export function useSpread(form: UseFormReturn<CardForm>) {
  const [pasted, setPasted] = useState<Pasted>();
  const extracted = useExtract(pasted?.text ?? '', NONE);
  const spread =
    pasted && extracted ? spreadForm(pasted.before, toForm(extracted.card, { locale: LOCALE })) : undefined;
  // Shown in the form's own values, so that what was typed since is known to be dirty still.
  const put = (values: CardForm) => form.reset(values, { keepDefaultValues: true });
  const { getValues } = form;
  const take = useCallback(
    (text: string) => {
      const isWorth = text.length <= MAX_CHARS && /\s|[,;]/.test(text.trim());
      setPasted(isWorth ? { text, before: structuredClone(getValues()), isSpread: false } : undefined);
    },
    [getValues],
  );
  useEffect(() => onFieldPaste(take), [take]);
  const offer: SpreadOffer | undefined =
    pasted && spread && spread.fields > 1
      ? {
          counts: spread.counts,
          isSpread: pasted.isSpread,
          spread: () => {
            setPasted({ ...pasted, isSpread: true });
            put(spread.form);
          },
          takeBack: () => {
            put(pasted.before);
            setPasted(undefined);
          },
          leave: () => setPasted(undefined),
        }
      : undefined;
  return offer;
}

/** What can be done with what was pasted. */
export interface SpreadOffer {
  readonly counts: SpreadCounts;
  readonly isSpread: boolean;
  readonly spread: () => void;
  readonly takeBack: () => void;
  readonly leave: () => void;
}
