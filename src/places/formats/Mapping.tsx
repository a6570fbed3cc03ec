import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { secondLine, shownAs } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/formats';
import { Act, ChevronDown, NextAct, Txt, useColours } from '@/ui';

import { ColumnSheet } from './ColumnSheet';
import type { TableMapping } from './importState';

/** Cards shown as they would be. */
const CARDS_SHOWN = 3;

interface MappingProps {
  readonly mapping: TableMapping;
  readonly onColumn: (at: number, heading: string) => void;
  readonly onConfirm: () => void;
  readonly onDrop: () => void;
}

/** What each column of a table says, with the first cards as they will be. */
export function Mapping({ mapping, onColumn, onConfirm, onDrop }: MappingProps) {
  const [open, setOpen] = useState<number>();
  const { part, columns, isRemembered, isReading } = mapping;
  const { table, cards, problems } = part.contents;
  if (!table) return null;
  return (
    <View className="gap-5" testID="import-mapping">
      <Txt tone="faded">
        {texts.tableOfRows(part.name, table.rows)}{' '}
        {isRemembered ? texts.itsColumnsAreMatched : texts.checkThatItsColumns}
      </Txt>
      <View>
        {columns.map((column, at) => (
          <ColumnRow
            key={at}
            heading={table.headings[at] ?? ''}
            samples={table.samples[at] ?? []}
            column={column}
            onPress={() => setOpen(at)}
          />
        ))}
      </View>
      <View className="gap-1" aria-live="polite" testID="mapping-cards">
        <Txt font="sansBold">{isReading ? texts.readingAgain : texts.cardsWouldBeImported(cards.length)}</Txt>
        {problems.length === 0 ? null : (
          <Txt tone="ochre">
            {texts.placesCantBeRead(problems.length, problems[0]?.line ?? 0, problems[0]?.message ?? '')}
          </Txt>
        )}
        {cards.slice(0, CARDS_SHOWN).map((card) => (
          <View key={card.uid} className="border-b border-rule py-2">
            <Txt font="serif" size="strong">
              {shownAs(card) || shared.noName}
            </Txt>
            <Txt size="small" tone="faded">
              {[secondLine(card), ...reachesOf(card)].filter(Boolean).join(' · ')}
            </Txt>
          </View>
        ))}
      </View>
      <View className="flex-row items-center gap-4">
        <NextAct
          label={texts.useTheseColumns}
          isDisabled={isReading || cards.length === 0}
          onPress={onConfirm}
          testID="confirm-columns"
        />
        <Act label={texts.cancel} tone="faded" onPress={onDrop} />
      </View>
      {open === undefined ? null : (
        <ColumnSheet
          heading={table.headings[open] ?? ''}
          value={columns[open] ?? ''}
          onChange={(heading) => onColumn(open, heading)}
          onClose={() => setOpen(undefined)}
        />
      )}
    </View>
  );
}

/** The first mail address and number, by which a row is recognised. */
function reachesOf(card: TableMapping['part']['contents']['cards'][number]): string[] {
  const [mail] = Object.values(card.emails ?? {});
  const [phone] = Object.values(card.phones ?? {});
  return [mail?.address ?? '', phone?.number ?? ''];
}

interface ColumnRowProps {
  readonly heading: string;
  readonly samples: readonly string[];
  readonly column: string;
  readonly onPress: () => void;
}

function ColumnRow({ heading, samples, column, onPress }: ColumnRowProps) {
  const colours = useColours();
  const isOut = column === 'Left out';
  const shown = heading === '' ? texts.noHeading : heading;
  return (
    <Pressable
      role="button"
      aria-label={texts.change(shown, column)}
      onPress={onPress}
      className="min-h-[52px] flex-row items-center gap-3 border-b border-rule py-2 hover:bg-leaf active:bg-leaf"
    >
      <View className="min-w-0 flex-1">
        <Txt font="sansBold" tone={heading === '' ? 'faded' : 'ink'}>
          {shown}
        </Txt>
        <Txt size="small" tone="faded" lines={1}>
          {samples.length === 0 ? texts.empty : samples.join(' · ')}
        </Txt>
      </View>
      <View className="max-w-[48%] flex-row items-center gap-1">
        <View className="min-w-0 shrink">
          <Txt tone={isOut ? 'faded' : 'berry'} lines={2}>
            {column}
          </Txt>
        </View>
        <ChevronDown size={20} strokeWidth={1.75} color={isOut ? colours.faded : colours.berry} />
      </View>
    </Pressable>
  );
}
