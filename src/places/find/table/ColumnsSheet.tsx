import { View } from 'react-native';

import { defaultTable } from '@/book/state';
import type { TableColumn } from '@/core/card';
import { Act, OrderedChoice, Sheet, Txt } from '@/ui';

import { useLook } from './useLook';

interface ColumnsSheetProps {
  readonly columns: readonly TableColumn[];
  readonly onClose: () => void;
}

/** Which columns the table has, in which order. */
export function ColumnsSheet({ columns, onClose }: ColumnsSheetProps) {
  const { look, setLook } = useLook();
  const known = look.columns.filter((id) => columns.some((column) => column.id === id));
  return (
    <Sheet title="Columns" isOpen onClose={onClose}>
      <Txt size="small" tone="faded">
        Drag a line, or move it with its arrows. On the table a column is dragged by its head.
      </Txt>
      <OrderedChoice
        options={columns.map(({ id, title }) => [id, title] as const)}
        chosen={known}
        onChange={(ids) => setLook({ columns: ids })}
        nameOf={(title) => `${title} is a column`}
        testID="column"
        atLeast={1}
      />
      <View className="flex-row pt-2">
        <Act label="Reset" onPress={() => setLook({ columns: defaultTable.columns, widths: {} })} />
      </View>
    </Sheet>
  );
}
