import { selectRowsByUid, useAppSelector } from '@/book/state';
import { formatCount } from '@/platform';
import { Txt } from '@/ui';

/** Names told of those who are left out. */
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
  const names = uids.slice(0, NAMED).map((uid) => rows.get(uid)?.shown ?? 'somebody');
  const rest = uids.length > NAMED ? ` and ${uids.length - NAMED} more` : '';
  return (
    <Txt size="small" tone="ochre" testID={testID}>
      {`${title}: ${formatCount(uids.length, 'person', 'people')} (${names.join(', ')}${rest})`}
    </Txt>
  );
}
