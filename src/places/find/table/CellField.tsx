import { type KeyboardEvent, useRef, useState } from 'react';

import { useColours } from '@/ui';

import type { Draft } from './useDraft';

interface CellFieldProps {
  readonly draft: Draft;
  readonly title: string;
  /** Whether it may have several lines. */
  readonly isLong: boolean;
  readonly onFinish: (text: string, move?: readonly [down: number, along: number]) => Promise<void>;
  readonly onCancel: () => void;
}

/** A cell while it is written: Enter goes on below, Tab beside, Escape leaves it as it was. */
export function CellField({ draft, title, isLong, onFinish, onCancel }: CellFieldProps) {
  const [text, setText] = useState(draft.text);
  const colours = useColours();
  const frame = { border: 0, boxSizing: 'border-box', outline: `2px solid ${colours.berry}` } as const;
  /** A field left by a key also loses the focus, which must not count as leaving twice. */
  const isLeaving = useRef(false);
  const finish = async (move?: readonly [down: number, along: number]) => {
    if (isLeaving.current) return;
    isLeaving.current = true;
    await onFinish(text, move);
    isLeaving.current = false;
  };
  const cancel = () => {
    isLeaving.current = true;
    onCancel();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const { key, shiftKey } = event;
    if (event.nativeEvent.isComposing) return;
    if (key === 'Escape') cancel();
    else if (key === 'Enter' && !(isLong && shiftKey)) void finish([1, 0]);
    else if (key === 'Tab') void finish([0, shiftKey ? -1 : 1]);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const shared = {
    'aria-label': title,
    'aria-invalid': draft.fault !== undefined,
    value: text,
    autoFocus: true,
    dir: 'auto',
    onChange: (event: { readonly target: { readonly value: string } }) => setText(event.target.value),
    onKeyDown,
    onBlur: () => void finish(),
    className: 'bg-paper font-sans text-text text-ink',
  };
  return (
    <div style={{ position: 'absolute', left: 0, top: 0, minWidth: '100%', zIndex: 3 }}>
      {isLong ? (
        <textarea {...shared} rows={4} style={{ ...frame, padding: 8, width: 320 }} />
      ) : (
        <input {...shared} style={{ ...frame, padding: '9px 8px', width: '100%' }} />
      )}
      {draft.fault === undefined ? null : (
        <div
          role="alert"
          className="bg-paper font-sans text-small text-brick border border-rule"
          style={{ padding: 8 }}
        >
          {draft.fault}
        </div>
      )}
    </div>
  );
}
