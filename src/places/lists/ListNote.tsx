import { useState } from 'react';

import { changeBook } from '@/book/commit';
import { changed } from '@/book/history';
import { useAppDispatch } from '@/book/state';
import { type Card, idFor, shownAs } from '@/core/card';
import { texts } from '@/texts/lists/lists';
import { Field } from '@/ui';

/** The note of a list; saved when the field is left. */
export function ListNote({ list }: { readonly list: Card }) {
  const dispatch = useAppDispatch();
  const [known, note] = Object.entries(list.notes ?? {})[0] ?? [];
  const [text, setText] = useState(note?.note ?? '');
  const keep = () => {
    if (text.trim() === (note?.note ?? '')) return;
    const entry = { ...note, note: text.trim() };
    const id = known ?? idFor('notes', entry);
    const { [id]: _, ...others } = list.notes ?? {};
    const notes = text.trim() === '' ? others : { [id]: entry, ...others };
    const { notes: __, ...rest } = list;
    const next: Card = Object.keys(notes).length === 0 ? rest : { ...rest, notes };
    void dispatch(
      changeBook({ cause: 'edit', label: texts.changedNoteOf(shownAs(list)), edits: [changed(list, next)] }),
    );
  };
  return <Field label={texts.note} value={text} onChange={setText} onBlur={keep} isLong testID="list-note" />;
}
