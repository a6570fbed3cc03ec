import { useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';

import type { AskDirectory } from '@/book/directory';
import { pickFiles } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
import { Act, Field, FileText, NextAct, Sheet, Switch, Txt } from '@/ui';

import { useDirectoryAct } from './useDirectoryAct';

const previewSchema = z.object({
  fresh: z.array(z.string()),
  changed: z.array(z.string()),
  same: z.number(),
  problems: z.array(z.object({ line: z.number(), message: z.string() })),
});
type Preview = z.infer<typeof previewSchema>;

interface TakeInProps {
  readonly ask: AskDirectory;
  readonly onDone: () => void;
  readonly onClose: () => void;
}

/** The most names listed of those who would come or change, and the most unreadable rows. */
const NAMED = 6;

/** A table of people: from a file or pasted, looked at before anything is done. */
export function ImportEntriesSheet({ ask, onDone, onClose }: TakeInProps) {
  const act = useDirectoryAct();
  const [csv, setCsv] = useState('');
  const [isInside, setInside] = useState(false);
  const [preview, setPreview] = useState<Preview>();
  const put = (text: string) => {
    setCsv(text);
    setPreview(undefined);
  };
  const take = async (isToApply: boolean) => {
    const body = { csv, isInside, isToApply };
    return act(
      async () => setPreview(previewSchema.parse(await ask({ method: 'POST', path: '/import', body }))),
      isToApply && preview ? texts.importedEntries(preview.fresh.length + preview.changed.length) : '',
    );
  };
  const choose = async () => {
    const [file] = await pickFiles('.csv,.txt,.tsv,text/csv');
    if (file) put(await file.text());
  };
  const count = preview ? preview.fresh.length + preview.changed.length : 0;
  return (
    <Sheet title={texts.importTable} isOpen onClose={onClose}>
      <View className="gap-4" testID="take-in-sheet">
        <View className="flex-row">
          <Act label={texts.chooseFile} icon={FileText} onPress={() => void choose()} />
        </View>
        <Field label={texts.orPasteItRow} value={csv} onChange={put} isLong testID="take-in-text" />
        <Switch label={texts.theyAreInternal} isOn={isInside} onChange={setInside} />
        {preview ? <ImportPreview preview={preview} /> : null}
        {preview && count > 0 ? (
          <NextAct
            label={texts.importEntries(count)}
            onPress={() => void take(true).then((isDone) => (isDone ? onDone() : undefined))}
            testID="take-in-now"
          />
        ) : (
          <NextAct
            label={texts.previewImport}
            isDisabled={csv.trim() === ''}
            onPress={() => void take(false)}
            testID="take-in-look"
          />
        )}
      </View>
    </Sheet>
  );
}

function ImportPreview({ preview: { fresh, changed, same, problems } }: { readonly preview: Preview }) {
  const named = (names: readonly string[]) =>
    `${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? shared.andMore(names.length - NAMED) : ''}`;
  return (
    <View role="status" testID="take-in-preview">
      {fresh.length === 0 ? null : <Txt>{texts.newCount(fresh.length, named(fresh))}</Txt>}
      {changed.length === 0 ? null : <Txt>{texts.changedCount(changed.length, named(changed))}</Txt>}
      {same === 0 ? null : <Txt tone="faded">{texts.alreadyThereUnchanged(same)}</Txt>}
      {problems.slice(0, NAMED).map(({ line, message }) => (
        <Txt key={`${line} ${message}`} tone="brick">
          {texts.line(line, message)}
        </Txt>
      ))}
      {problems.length > NAMED ? (
        <Txt tone="brick">{texts.moreLineCount(problems.length - NAMED)}</Txt>
      ) : null}
      {fresh.length + changed.length + same + problems.length === 0 ? (
        <Txt tone="ochre">{texts.thereIsNobodyInThisTable}</Txt>
      ) : null}
    </View>
  );
}
