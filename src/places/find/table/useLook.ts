import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type TableLook, useAppDispatch, useAppSelector } from '@/book/state';

/** How the table looks now, and changing it; it stays so for the next time. */
export function useLook(): { look: TableLook; setLook: (some: Partial<TableLook>) => void } {
  const dispatch = useAppDispatch();
  const { table } = useAppSelector(selectSettings);
  return {
    look: table,
    setLook: (some) =>
      dispatch(changeSettingsUndoably('Look of the table', { table: { ...table, ...some } })),
  };
}
