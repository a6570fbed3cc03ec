import { View } from 'react-native';

import type { RowFilter } from '@/book/state';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/find/book';
import { Act, NextAct, Plus, Smartphone, Txt, Upload } from '@/ui';

const TEXTS: Record<RowFilter, string> = {
  all: texts.everybodyYouAddAppears,
  people: texts.thereAreNoPeople,
  organisations: texts.firmsHallsOfficesCard,
};

/** The Book, or a part of it, without a card. */
export function EmptyBook({ filter }: { readonly filter: RowFilter }) {
  return (
    <View className="gap-4 px-5 pt-4">
      <Txt font="serifItalic" size="strong" tone="faded">
        {TEXTS[filter]}
      </Txt>
      <NextAct label={texts.createFirstCard} icon={Plus} onPress={() => go('/book/new')} />
      <View className="items-start">
        <Act label={texts.importCardsFromFile} icon={Upload} onPress={() => go('/import')} />
        <Act label={texts.getBookFromHub} icon={Smartphone} onPress={() => go('/devices')} />
      </View>
    </View>
  );
}
