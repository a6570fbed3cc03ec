import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';

import { formatDay } from '@/platform';
import { Txt } from '@/ui';

import type { AskDirectory } from './useDirectory';

const logSchema = z.array(z.object({ at: z.string(), who: z.string(), says: z.string() }));

/** What was done with the directory, the latest first; nobody can change it. */
export function LogPart({ ask }: { readonly ask: AskDirectory }) {
  const [lines, setLines] = useState<z.infer<typeof logSchema>>();
  useEffect(() => {
    let isCurrent = true;
    ask({ path: '/log' }).then(
      (value) => (isCurrent ? setLines(logSchema.parse(value)) : undefined),
      () => undefined,
    );
    return () => {
      isCurrent = false;
    };
  }, [ask]);
  return (
    <View testID="directory-log">
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
