import { View } from 'react-native';
import { z } from 'zod';

import { type AskDirectory, useDirectoryAnswer } from '@/book/directory';
import { formatDay } from '@/platform';
import { Txt } from '@/ui';

const logSchema = z.array(z.object({ at: z.string(), who: z.string(), says: z.string() }));

/** What was done with the directory, the latest first; nobody can change it. */
export function LogPart({ ask }: { readonly ask: AskDirectory }) {
  const { value: lines, fault } = useDirectoryAnswer({ ask, path: '/log', schema: logSchema });
  return (
    <View testID="directory-log">
      {fault === '' ? null : <Txt tone="brick">{fault}</Txt>}
      {lines?.map(({ at, who, says }, i) => (
        <View key={i} className="border-b border-rule py-2">
          <Txt>{says}</Txt>
          <Txt size="small" tone="faded" isFigures>
            {`${who}, ${formatDay(at)} ${at.slice(11, 16)}`}
          </Txt>
        </View>
      ))}
    </View>
  );
}
