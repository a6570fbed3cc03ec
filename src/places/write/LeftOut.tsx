import { selectRowsByUid, useAppSelector } from '@/book/state';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/write/write';
import { Txt } from '@/ui';

/** The most names listed of those who are left out. */
const NAMED = 8;

interface LeftOutProps {
  /** Why: "Without a mail address". */
  readonly title: string;
  readonly uids: readonly string[];
  readonly testID?: string;
}

/** Who gets nothing, and why; nothing where that is nobody. */
export function LeftOut({ title, uids, testID = 'left-out' }: LeftOutProps) {
  const rows = useAppSelector(selectRowsByUid);
  if (uids.length === 0) return null;
  const names = uids.slice(0, NAMED).map((uid) => rows.get(uid)?.shown ?? texts.somebody);
  const rest = uids.length > NAMED ? shared.andMore(uids.length - NAMED) : '';
  return (
    <Txt size="small" tone="ochre" testID={testID}>
      {texts.people(title, uids.length, names.join(', '), rest)}
    </Txt>
  );
}
