import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { findBookHeadings } from '@/book/formats';
import { useAppDispatch, useWhenRead } from '@/book/state';
import { texts } from '@/texts/settings/settings';
import { Act, Sheet, Tick, Txt } from '@/ui';

interface ColumnsChoiceProps {
  /** Undefined for all. */
  readonly columns: readonly string[] | undefined;
  readonly onChange: (columns: readonly string[] | undefined) => void;
}

/** Which columns a table has, out of all that the book's cards need. */
export function ColumnsChoice({ columns, onChange }: ColumnsChoiceProps) {
  const dispatch = useAppDispatch();
  const whenRead = useWhenRead();
  const [all, setAll] = useState<readonly string[]>();
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    let isCurrent = true;
    void whenRead()
      .then(() => dispatch(findBookHeadings()).result)
      .then((headings) => {
        if (isCurrent) setAll(headings);
      })
      .catch(() => undefined);
    return () => {
      isCurrent = false;
    };
  }, [dispatch, whenRead]);
  if (!all) return null;
  const chosen = columns ?? all;
  return (
    <View className="flex-row items-center justify-between gap-3">
      <Txt>{texts.ofColumnCount(chosen.length, all.length)}</Txt>
      <Act label={texts.chooseColumns} onPress={() => setOpen(true)} testID="choose-columns" />
      <Sheet title={texts.columnsOfTable} isOpen={isOpen} onClose={() => setOpen(false)}>
        <View className="flex-row justify-between">
          <Act label={texts.all} onPress={() => onChange(undefined)} />
          <Act label={texts.none} onPress={() => onChange([])} />
          <Act label={texts.done} onPress={() => setOpen(false)} />
        </View>
        {all.map((heading) => (
          <Tick
            key={heading}
            name={heading}
            isOn={chosen.includes(heading)}
            onChange={(isOn) =>
              onChange(all.filter((one) => (one === heading ? isOn : chosen.includes(one))))
            }
          >
            <Txt>{heading}</Txt>
          </Tick>
        ))}
      </Sheet>
    </View>
  );
}
