import { type CSSProperties, memo, type MouseEvent } from 'react';
import { Pressable } from 'react-native';

import {
  choiceToggled,
  selectIsChoosing,
  selectIsPicked,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';
import { type Card, type CellAt, shownAs, type TableColumn } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/table';
import { Act, ChevronRight, linkProps, Square, SquareCheck, useColours } from '@/ui';

import { CellField } from './CellField';
import type { Draft } from './useDraft';

interface GridRowProps {
  readonly card: Card;
  /** Its place in the table, from 0. */
  readonly index: number;
  /** Pixels from the top. */
  readonly start: number;
  readonly height: number;
  readonly lead: number;
  readonly widths: readonly number[];
  readonly columns: readonly TableColumn[];
  readonly activeColumn: number | undefined;
  /** The chosen columns; -1 where none of this row is. */
  readonly left: number;
  readonly right: number;
  readonly draft: Draft | undefined;
  readonly onChoose: (at: CellAt, extendsBlock?: boolean) => void;
  readonly onEdit: () => void;
  readonly onFinish: (text: string, move?: readonly [down: number, along: number]) => Promise<void>;
  readonly onCancel: () => void;
}

/** The id of a cell on the page. */
export function cellId({ row, column }: CellAt): string {
  return `cell-${row}-${column}`;
}

/** The first column stays in view, as it says whose row it is. */
export function cellPlace(at: number, widths: readonly number[], lead: number): CSSProperties {
  const place: CSSProperties = { width: widths[at], flexShrink: 0, boxSizing: 'border-box' };
  return at === 0
    ? { ...place, position: 'sticky', left: lead, zIndex: 1 }
    : { ...place, position: 'relative' };
}

/** One card of the table; drawn again only when something of its own changes. */
export const GridRow = memo(function GridRow(props: GridRowProps) {
  const { card, index, start, height, lead, widths, columns, left, right, draft } = props;
  const isPicked = useAppSelector((state) => selectIsPicked(state, card.uid));
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-selected={isPicked}
      className={`border-b border-rule ${isPicked ? 'bg-leaf' : ''}`}
      style={{ position: 'absolute', top: start, height, display: 'flex', width: '100%' }}
    >
      <Lead card={card} width={lead} isPicked={isPicked} />
      {columns.map((column, at) => (
        <div
          key={column.id}
          id={cellId({ row: index, column: at })}
          role="gridcell"
          aria-colindex={at + 2}
          aria-readonly={!column.isWritable}
          aria-selected={at >= left && at <= right}
          onMouseDown={(event) =>
            chosenBy(event, () => props.onChoose({ row: index, column: at }, event.shiftKey))
          }
          onMouseEnter={(event) => {
            if (event.buttons === 1 && !draft) props.onChoose({ row: index, column: at }, true);
          }}
          onDoubleClick={draft ? undefined : () => props.onEdit()}
          className={`border-r border-rule text-text font-sans text-ink ${at === 0 && !(at >= left && at <= right) ? (isPicked ? 'bg-leaf' : 'bg-paper') : ''} ${
            at >= left && at <= right ? 'bg-leaf' : ''
          } ${props.activeColumn === at ? 'outline outline-2 -outline-offset-2 outline-berry' : ''}`}
          style={cellPlace(at, widths, lead)}
        >
          {draft?.at.column === at ? (
            <CellField
              draft={draft}
              title={column.title}
              isLong={column.id === 'note'}
              onFinish={props.onFinish}
              onCancel={props.onCancel}
            />
          ) : (
            <CellText text={column.read(card)} height={height} />
          )}
        </div>
      ))}
    </div>
  );
});

/** A press that begins in a field belongs to the field. */
function chosenBy(event: MouseEvent, choose: () => void): void {
  if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return;
  event.preventDefault();
  choose();
}

const CellText = memo(function CellText({
  text,
  height,
}: {
  readonly text: string;
  readonly height: number;
}) {
  return (
    <div
      dir="auto"
      className="tabular-nums"
      style={{
        ...{ padding: '0 8px', lineHeight: `${height - 1}px`, height: height - 1 },
        ...{ overflow: 'hidden', whiteSpace: 'nowrap', textOverflow: 'ellipsis' },
      }}
    >
      {text.replace(/\s*\n\s*/g, ' ')}
    </div>
  );
});

/** Before the cells: a box to choose the card by, and the way to it. */
function Lead({
  card,
  width,
  isPicked,
}: {
  readonly card: Card;
  readonly width: number;
  readonly isPicked: boolean;
}) {
  const dispatch = useAppDispatch();
  const isChoosing = useAppSelector(selectIsChoosing);
  const name = shownAs(card) || shared.noName;
  const path = cardPath(card.uid);
  const colours = useColours();
  return (
    <div
      role="rowheader"
      aria-label={name}
      style={{
        width,
        flexShrink: 0,
        position: 'sticky',
        left: 0,
        zIndex: 1,
        display: 'flex',
        alignItems: 'center',
      }}
      className="border-r border-rule bg-paper"
    >
      <Act
        label={`${isPicked ? texts.deselect : texts.select} ${name}`}
        icon={isPicked ? SquareCheck : Square}
        iconOnly
        tone={isChoosing && isPicked ? 'berry' : 'faded'}
        onPress={() => dispatch(choiceToggled(card.uid))}
      />
      <Pressable
        role="link"
        aria-label={texts.open(name)}
        className="min-h-[44px] min-w-[44px] items-center justify-center active:opacity-60"
        {...linkProps(path, () => go(path))}
      >
        <ChevronRight size={20} strokeWidth={1.75} color={colours.berry} />
      </Pressable>
    </div>
  );
}
