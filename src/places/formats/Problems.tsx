import { useState } from 'react';
import { View } from 'react-native';

import { saveFile } from '@/platform';
import { texts } from '@/texts/formats/formats';
import { Act, Txt } from '@/ui';

import type { FileProblem } from './importState';

const SHOWN_AT_FIRST = 5;
const SHOWN_AT_MOST = 100;

/** What could not be read, with its place and its text, so that nothing of it is lost. */
export function Problems({ problems }: { readonly problems: readonly FileProblem[] }) {
  const [isAll, setAll] = useState(false);
  if (problems.length === 0) return null;
  const shown = problems.slice(0, isAll ? SHOWN_AT_MOST : SHOWN_AT_FIRST);
  const save = () => {
    const text = problems.map((one) => `${placeOf(one)}: ${one.message}\n${one.text ?? ''}\n`).join('\n');
    saveFile('not-read.txt', text, 'text/plain;charset=utf-8');
  };
  return (
    <View className="gap-2" testID="import-problems">
      <Txt font="sansBold" tone="ochre">
        {texts.placesCouldNotBeRead(problems.length)}
      </Txt>
      {shown.map((problem, i) => (
        <View key={i} className="border-b border-rule pb-2 pl-3">
          <Txt>{`${placeOf(problem)}: ${problem.message}`}</Txt>
          {problem.text === undefined ? null : (
            <Txt size="small" tone="faded" lines={2}>
              {problem.text}
            </Txt>
          )}
        </View>
      ))}
      <View className="flex-row flex-wrap gap-x-4">
        {shown.length < problems.length && !isAll ? (
          <Act label={texts.showMore(problems.length - shown.length)} onPress={() => setAll(true)} />
        ) : null}
        <Act label={texts.saveThemAsText} onPress={save} />
      </View>
    </View>
  );
}

function placeOf({ file, line }: FileProblem): string {
  return line === 0 ? file : texts.line(file, line);
}
