import type { FoundInDirectory } from '@/book/directory';
import { highlightMatches } from '@/core/base';
import { texts } from '@/texts/find/quickline';
import { ListRow, Stamp } from '@/ui';

interface ListedRowProps {
  readonly person: FoundInDirectory;
  /** What was looked for. */
  readonly words: string;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onOpen: () => void;
}

/** Somebody of the common directory: no card of the Book, and said to be none. */
export function ListedRow({ person, words, id, isChosen, onOpen }: ListedRowProps) {
  const { name, initials, isOrg, house } = person;
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={name}
      second={[texts.inDirectory, house].filter(Boolean).join(' · ')}
      stamp={<Stamp initials={initials} isOrg={isOrg} />}
      isChosen={isChosen}
      mark={(text) => highlightMatches(text, words)}
      onPress={onOpen}
    />
  );
}

/** Where somebody of the directory is opened. */
export function listedPath({ uid }: Pick<FoundInDirectory, 'uid'>): string {
  return `/directory?entry=${encodeURIComponent(uid)}`;
}
