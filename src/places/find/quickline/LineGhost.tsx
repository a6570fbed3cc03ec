import { useEffect, useRef } from 'react';

import type { LinePart } from '@/core/find';

interface LineGhostProps {
  readonly text: string;
  readonly parts: readonly LinePart[];
  /** How the line goes on; '' for nothing. */
  readonly rest: string;
  readonly onTake: () => void;
  /** The line itself: where it is scrolled along, this follows. */
  readonly input: () => HTMLInputElement | undefined;
}

/**
 * Lies over the line, letter for letter: underlines what was understood, and shows dimmed how the line goes on. The text
 * itself is invisible here and not read out; a press on what is dimmed takes it, as the tab key does.
 */
export function LineGhost({ text, parts, rest, onTake, input }: LineGhostProps) {
  const ghost = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const line = input();
    const follow = () => {
      if (ghost.current && line) ghost.current.scrollLeft = line.scrollLeft;
    };
    follow();
    line?.addEventListener('scroll', follow);
    return () => line?.removeEventListener('scroll', follow);
  }, [input, text, rest]);
  return (
    <div
      ref={ghost}
      aria-hidden="true"
      className="pointer-events-none absolute inset-0 flex items-center overflow-hidden whitespace-pre font-sans text-text text-transparent"
    >
      {piecesOf(text, parts).map(({ from, words, isPart }) => (
        <span
          key={from}
          className={isPart ? 'underline decoration-berry decoration-2 underline-offset-[5px]' : ''}
        >
          {words}
        </span>
      ))}
      {rest === '' ? null : (
        <span
          data-testid="line-rest"
          // Keeps the focus in the line.
          onMouseDown={(event) => event.preventDefault()}
          onClick={onTake}
          className="pointer-events-auto cursor-pointer py-[10px] pr-6 text-faded"
        >
          {rest}
        </span>
      )}
    </div>
  );
}

interface Piece {
  readonly from: number;
  readonly words: string;
  readonly isPart: boolean;
}

/** A text taken apart into what was understood and the rest, in order. */
export function piecesOf(text: string, parts: readonly Pick<LinePart, 'from' | 'to'>[]): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  const add = (from: number, to: number, isPart: boolean) => {
    if (to > from) pieces.push({ from, words: text.slice(from, to), isPart });
  };
  for (const { from, to } of parts) {
    add(at, from, false);
    add(from, to, true);
    at = to;
  }
  add(at, text.length, false);
  return pieces;
}
