import { View } from 'react-native';

import type { RowFilter } from '@/book/state';
import { go } from '@/platform/navigation';
import { Act, NextAct, Plus, Txt, Upload } from '@/ui';

const TEXTS: Record<RowFilter, string> = {
  all: 'Everybody you add appears here, in order, and a few letters find them again.',
  people: 'There are no people in the book yet.',
  organisations: 'Firms, halls, offices: a card can also be an organisation’s.',
};

/** The Book, or a part of it, without a card. */
export function EmptyBook({ filter }: { readonly filter: RowFilter }) {
  return (
    <View className="gap-4 px-5 pt-4">
      <Txt font="serifItalic" size="strong" tone="faded">
        {TEXTS[filter]}
      </Txt>
      <NextAct label="Create the first card" icon={Plus} onPress={() => go('/book/new')} />
      <View className="flex-row">
        <Act label="Import cards from a file" icon={Upload} onPress={() => go('/import')} />
      </View>
    </View>
  );
}
