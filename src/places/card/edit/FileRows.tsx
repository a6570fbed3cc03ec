import { useFieldArray } from 'react-hook-form';
import { View } from 'react-native';

import { noticeShown, useAppDispatch } from '@/book/state';
import { pickFiles, readAsDataUri } from '@/platform';
import { texts } from '@/texts/card/edit';
import { Act, Plus, Txt, X } from '@/ui';

import { FormField, type PartProps } from './FormField';

/** The largest file kept with a card: larger ones would make every backup heavy. */
const MAX_BYTES = 5e6;

/** Files that belong to the card, each under a name that can be changed. */
export function FileRows({ form }: PartProps) {
  const dispatch = useAppDispatch();
  const { fields, append, remove } = useFieldArray({
    control: form.control,
    name: 'files',
    keyName: 'rowKey',
  });
  const add = async () => {
    for (const file of await pickFiles('')) {
      if (file.size > MAX_BYTES) {
        const text = texts.isLargerThanMb(file.name, MAX_BYTES / 1e6);
        dispatch(noticeShown({ text, tone: 'error' }));
      } else
        append({ id: `new-${file.name}-${Date.now()}`, text: file.name, uri: await readAsDataUri(file) });
    }
  };
  return (
    <View className="gap-1" testID="rows-files">
      <Txt size="small" font="sansBold" tone="faded" heading={2}>
        {texts.files}
      </Txt>
      {fields.map(({ rowKey }, i) => (
        <View key={rowKey} className="flex-row items-start gap-1">
          <View className="min-w-0 flex-1">
            <FormField
              form={form}
              name={`files.${i}.text`}
              label={texts.file(i + 1)}
              isLabelHidden
              testID={`file-${i}`}
            />
          </View>
          <Act label={texts.removeFile(i + 1)} icon={X} iconOnly tone="faded" onPress={() => remove(i)} />
        </View>
      ))}
      <View className="flex-row">
        <Act label={texts.addFile} icon={Plus} onPress={() => void add()} testID="add-files" />
      </View>
      <Txt size="small" tone="faded">
        {texts.upToMbEach(MAX_BYTES / 1e6)}
      </Txt>
    </View>
  );
}
