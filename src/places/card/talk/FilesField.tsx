import { View } from 'react-native';

import { noticeShown, useAppDispatch, useServices } from '@/book/state';
import { hashText } from '@/core/base';
import type { TalkFile } from '@/core/talks';
import { pickFiles, readAsDataUri } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, Paperclip, X } from '@/ui';

import { useFileOut } from '../parts/useFileOut';

/** Bytes of a file at most: the whole talk of a month is read at once, but not its files. */
const MAX_BYTES = 20_000_000;

interface FilesFieldProps {
  readonly files: readonly TalkFile[];
  readonly onChange: (files: TalkFile[]) => void;
}

/** Files of a talk: opened, taken off, added. Their bytes go to the store at once, their names with the talk. */
export function FilesField({ files, onChange }: FilesFieldProps) {
  const dispatch = useAppDispatch();
  const { photos } = useServices();
  const openFile = useFileOut();
  const add = async () => {
    const added: TalkFile[] = [];
    for (const file of await pickFiles('')) {
      if (file.size > MAX_BYTES) {
        dispatch(noticeShown({ text: texts.isLargerThan20(file.name), tone: 'error' }));
        continue;
      }
      const uri = await readAsDataUri(file);
      const blobId = hashText(uri);
      await photos.put({ [blobId]: uri });
      added.push({ name: file.name, blobId });
    }
    if (added.length > 0) onChange([...files, ...added]);
  };
  return (
    <View className="flex-row flex-wrap items-center gap-x-4">
      {files.map((file) => (
        <View key={`${file.name} ${file.blobId ?? ''}`} className="flex-row items-center">
          <Act label={file.name} icon={Paperclip} onPress={() => openFile(file)} />
          <Act
            label=""
            name={texts.remove(file.name)}
            icon={X}
            tone="faded"
            onPress={() => onChange(files.filter((one) => one !== file))}
          />
        </View>
      ))}
      <Act
        label={texts.addFile}
        icon={Paperclip}
        tone="faded"
        onPress={() => void add()}
        testID="talk-file"
      />
    </View>
  );
}
