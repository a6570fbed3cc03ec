import type { Header, Table } from '@tanstack/react-table';
import type { CSSProperties, KeyboardEvent } from 'react';

import type { Card } from '@/core/card';
import { texts } from '@/texts/find/table';
import { ArrowDown, ArrowUp, useColours } from '@/ui';

import { cellPlace } from './GridRow';
import { heldWidth } from './useCardTable';
import { useLook } from './useLook';

/** Pixels by which a key makes a column wider or narrower. */
const STEP_PX = 16;
const DRAGGED = 'application/x-cordialis-column';

interface GridHeadProps {
  readonly table: Table<Card>;
  readonly widths: readonly number[];
  readonly height: number;
  readonly lead: number;
}

/** The heads of the columns: pressed to sort, dragged to another place, pulled at their edge to another width. */
export function GridHead({ table, widths, height, lead }: GridHeadProps) {
  const headers = table.getFlatHeaders();
  return (
    <div role="rowgroup" style={{ position: 'sticky', top: 0, zIndex: 4 }}>
      <div
        role="row"
        aria-rowindex={1}
        className="border-b border-rule bg-leaf"
        style={{ display: 'flex', height }}
      >
        <div
          role="columnheader"
          aria-colindex={1}
          className="border-r border-rule bg-leaf font-sansBold text-small text-faded"
          style={{
            width: lead,
            flexShrink: 0,
            position: 'sticky',
            left: 0,
            zIndex: 2,
            boxSizing: 'border-box',
            lineHeight: `${height - 1}px`,
            padding: '0 12px',
          }}
        >
          {texts.card}
        </div>
        {headers.map((header, at) => (
          <Head key={header.id} header={header} at={at} place={cellPlace(at, widths, lead)} />
        ))}
      </div>
    </div>
  );
}

interface HeadProps {
  readonly header: Header<Card, unknown>;
  readonly at: number;
  readonly place: CSSProperties;
}

function Head({ header, at, place }: HeadProps) {
  const { look, setLook } = useLook();
  const { column } = header;
  const title = String(column.columnDef.header);
  const moveTo = (id: string, place: number) => {
    const others = look.columns.filter((one) => one !== id);
    setLook({ columns: [...others.slice(0, place), id, ...others.slice(place)] });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step === undefined || !(event.shiftKey || event.ctrlKey)) return;
    event.preventDefault();
    event.stopPropagation();
    if (event.ctrlKey) return moveTo(column.id, Math.max(0, at + step));
    setLook({ widths: { ...look.widths, [column.id]: heldWidth(column.getSize() + step * STEP_PX) } });
  };
  return (
    <div
      role="columnheader"
      aria-colindex={at + 2}
      aria-sort={
        { asc: 'ascending', desc: 'descending', none: 'none' }[column.getIsSorted() || 'none'] as 'none'
      }
      className="border-r border-rule bg-leaf"
      style={place}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const id = event.dataTransfer.getData(DRAGGED);
        if (look.columns.includes(id)) moveTo(id, at);
      }}
    >
      <button
        type="button"
        draggable
        onDragStart={(event) => event.dataTransfer.setData(DRAGGED, column.id)}
        onClick={column.getToggleSortingHandler()}
        onKeyDown={onKeyDown}
        data-testid={`head-${column.id}`}
        title={texts.pressToSortWithShift}
        className="bg-transparent font-sansBold text-small text-faded"
        style={{
          ...{
            width: '100%',
            height: '100%',
            border: 0,
            padding: '0 8px',
            cursor: 'pointer',
            textAlign: 'start',
          },
          ...{ display: 'flex', alignItems: 'center', gap: 4, overflow: 'hidden', whiteSpace: 'nowrap' },
        }}
      >
        {title}
        <SortMark header={header} />
      </button>
      <div
        aria-hidden
        onMouseDown={header.getResizeHandler()}
        onTouchStart={header.getResizeHandler()}
        data-testid={`edge-${column.id}`}
        style={{
          position: 'absolute',
          right: -5,
          top: 0,
          width: 10,
          height: '100%',
          cursor: 'col-resize',
          zIndex: 1,
        }}
      />
    </div>
  );
}

/** The direction, and its rank where the table is sorted by several. */
function SortMark({ header }: { readonly header: Header<Card, unknown> }) {
  const colours = useColours();
  const { sorting } = header.getContext().table.getState();
  const direction = header.column.getIsSorted();
  if (direction === false) return null;
  const Icon = direction === 'asc' ? ArrowUp : ArrowDown;
  return (
    <>
      <Icon size={16} strokeWidth={1.75} color={colours.berry} />
      {sorting.length > 1 ? <span className="text-berry">{header.column.getSortIndex() + 1}</span> : null}
    </>
  );
}
