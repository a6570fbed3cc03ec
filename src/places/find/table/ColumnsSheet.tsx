import { View } from 'react-native';

import { defaultTable } from '@/book/state';
import type { TableColumn } from '@/core/card';
import { texts } from '@/texts/find/table';
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
    <Sheet title={texts.columns} isOpen onClose={onClose}>
      <Txt size="small" tone="faded">
        {texts.dragLineOrMove}
      </Txt>
      <OrderedChoice
        options={columns.map(({ id, title }) => [id, title] as const)}
        chosen={known}
        onChange={(ids) => setLook({ columns: ids })}
        nameOf={(title) => texts.isColumn(title)}
        testID="column"
        atLeast={1}
      />
      <View className="flex-row pt-2">
        <Act label={texts.reset} onPress={() => setLook({ columns: defaultTable.columns, widths: {} })} />
      </View>
    </Sheet>
  );
}
