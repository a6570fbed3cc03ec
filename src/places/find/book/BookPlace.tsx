import { usePathname } from 'expo-router';
import { type ComponentType, type ReactNode, useState } from 'react';
import { View } from 'react-native';

import type { Uid } from '@/core/card';
import { uidFromPath } from '@/platform';
import { Panes, useWide, WithStandIn } from '@/ui';

import { BookColumn } from './BookColumn';

/** Pages under the Book's address that need all the room. */
const WHOLE_PAGES = ['table', 'map'];

/** Pages there that are not a card's. */
const OWN_PAGES = new Set(['new', ...WHOLE_PAGES]);

interface BookPlaceProps {
  readonly children: ReactNode;
  /** What can be done with the chosen ones; it is another place's, as it is done to cards. */
  readonly ChosenBar: ComponentType<{ readonly shown: readonly Uid[] }>;
}

/** The Book: everybody in a column, and the open page beside it, or over it on a phone. */
export function BookPlace({ children, ChosenBar }: BookPlaceProps) {
  const { isWide } = useWide();
  const [, , part] = usePathname().split('/');
  const isHead = part === undefined || part === '';
  const [wasSeen, setSeen] = useState(isHead);
  if (isHead && !wasSeen) setSeen(true);
  const openUid = isHead || OWN_PAGES.has(part) ? undefined : uidFromPath(decodeURIComponent(part));
  const isWhole = WHOLE_PAGES.includes(part ?? '');
  if (isWide) {
    // The router's own part stays where it is, with the list beside it or without.
    return (
      <Panes
        name="book"
        width={352}
        min={300}
        list={isWhole ? undefined : <BookColumn openUid={openUid} ChosenBar={ChosenBar} />}
      >
        <WithStandIn>{children}</WithStandIn>
      </Panes>
    );
  }
  return (
    <View className="flex-1">
      {/* Stays as it was under an open page, so that going back shows the same rows at once. */}
      {wasSeen ? (
        <View className="absolute inset-0" style={isHead ? null : ({ visibility: 'hidden' } as object)}>
          <BookColumn openUid={undefined} ChosenBar={ChosenBar} />
        </View>
      ) : null}
      {/* The router's own part is in here: taken off the page, it would forget where it is. */}
      <View className={isHead ? 'hidden' : 'flex-1 bg-paper'}>
        <WithStandIn>{children}</WithStandIn>
      </View>
    </View>
  );
}
