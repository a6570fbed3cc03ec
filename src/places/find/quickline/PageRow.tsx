import { texts } from '@/texts/find/quickline';
import { ListRow, useColours } from '@/ui';

import type { NamedPage } from './pages';

interface PageRowProps {
  readonly page: NamedPage;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onOpen: () => void;
}

/** The way to a page, among what the line finds. */
export function PageRow({ page, id, isChosen, onOpen }: PageRowProps) {
  const colours = useColours();
  const { label, icon: Glyph } = page;
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={label}
      second={page.says ?? texts.goThere}
      stamp={<Glyph size={24} strokeWidth={1.75} color={colours.faded} />}
      isChosen={isChosen}
      onPress={onOpen}
    />
  );
}
