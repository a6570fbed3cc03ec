import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type TableLook, useAppDispatch, useAppSelector } from '@/book/state';
import { texts } from '@/texts/find/table';

/** How the table looks now, and changing it; it stays so for the next time. */
export function useLook(): { look: TableLook; setLook: (some: Partial<TableLook>) => void } {
  const dispatch = useAppDispatch();
  const { table } = useAppSelector(selectSettings);
  return {
    look: table,
    setLook: (some) => dispatch(changeSettingsUndoably(texts.lookOfTable, { table: { ...table, ...some } })),
  };
}
