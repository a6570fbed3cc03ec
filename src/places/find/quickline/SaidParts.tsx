import { useState } from 'react';
import { View } from 'react-native';

import { useAnswer, useServices } from '@/book/state';
import type { LinePart } from '@/core/find';
import { localDay } from '@/platform';
import { texts } from '@/texts/find/quickline';
import { Act, Txt } from '@/ui';

interface SaidPartsProps {
  readonly query: string;
  readonly parts: readonly LinePart[];
  /** Of a search: what all of it was understood as. */
  readonly text?: string;
  /** Puts another line in the place of this one. */
  readonly onAsk: (line: string) => void;
}

/** What the words of a line were understood as; each says, when pressed, what else it can be. */
export function SaidParts({ query, parts, text, onAsk }: SaidPartsProps) {
  const [open, setOpen] = useState<{ readonly query: string; readonly at: number }>();
  const at = open?.query === query ? open.at : -1;
  const part = parts[at];
  const toggle = (i: number) => setOpen(i === at ? undefined : { query, at: i });
  const word = (one: LinePart, i: number, shown: string) => (
    <button
      key={one.from}
      type="button"
      aria-expanded={i === at}
      aria-label={texts.whatElse(query.slice(one.from, one.to), one.says)}
      // Keeps the focus in the line, and the keyboard of a phone where it is.
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => toggle(i)}
      className={`py-[11px] text-left text-ink underline decoration-2 underline-offset-[5px] ${i === at ? 'decoration-ink' : 'decoration-berry'}`}
    >
      {shown}
    </button>
  );
  return (
    <View>
      <div data-testid="understood" className="font-sans text-small text-faded">
        {text === undefined ? (
          <>
            {`${texts.understoodLead} `}
            {parts.map((one, i) => {
              const words = query.slice(one.from, one.to);
              const isSaid = words.toLowerCase().includes(one.says.toLowerCase());
              return [
                i === 0 ? '' : ', ',
                word(one, i, words),
                isSaid ? (
                  ''
                ) : (
                  <span key={`${one.from} says`} className="font-serifItalic">{` ${one.says}`}</span>
                ),
              ];
            })}
          </>
        ) : (
          inText(texts.understood(text), parts).map((piece) =>
            typeof piece === 'string' ? piece : word(piece.part, piece.i, piece.part.says),
          )
        )}
      </div>
      {part ? <Others key={part.from} query={query} part={part} onAsk={onAsk} /> : null}
    </View>
  );
}

/** A text with the parts whose words stand in it, in their order. */
function inText(text: string, parts: readonly LinePart[]): (string | { part: LinePart; i: number })[] {
  const pieces: (string | { part: LinePart; i: number })[] = [];
  let at = 0;
  parts.forEach((part, i) => {
    const from = text.indexOf(part.says, at);
    if (from < 0 || part.says === '') return;
    pieces.push(text.slice(at, from), { part, i });
    at = from + part.says.length;
  });
  return [...pieces, text.slice(at)];
}

interface OthersProps {
  readonly query: string;
  readonly part: LinePart;
  readonly onAsk: (line: string) => void;
}

/** What else a part can be, each as a press. */
function Others({ query, part, onAsk }: OthersProps) {
  const { search } = useServices();
  const answer = useAnswer(`${query} ${part.from}`, () => search.others(query, part, localDay()));
  const words = query.slice(part.from, part.to);
  if (!answer) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-x-5" testID="others">
      <Txt size="small" tone="faded">
        {answer.value.length === 0 ? texts.isNothingElse(words) : texts.canAlsoBe(words)}
      </Txt>
      {answer.value.map(({ says, line }) => (
        <Act key={line} label={says} onPress={() => onAsk(line)} />
      ))}
    </View>
  );
}
