import { View } from 'react-native';

import { type NoteSpan, parseNote } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { outsideLinkProps, TextLink, Txt } from '@/ui';

/** A note with its formatting; links in it lead to cards and to the web. */
export function NoteText({ note }: { readonly note: string }) {
  return (
    <View testID="note-text">
      {parseNote(note).map(({ kind, spans }, i) => (
        <View key={i} className={kind === 'item' ? 'flex-row gap-2' : ''}>
          {kind === 'item' ? <Txt tone="faded">–</Txt> : null}
          <View className="min-w-0 flex-1">
            <Txt className="text-start">
              {spans.map((span, at) => (
                <Span key={at} span={span} />
              ))}
            </Txt>
          </View>
        </View>
      ))}
    </View>
  );
}

function Span({ span }: { readonly span: NoteSpan }) {
  switch (span.kind) {
    case 'text':
      return span.text;
    case 'strong':
      return <Txt font="sansBold">{span.text}</Txt>;
    case 'emphasis':
      return <Txt font="serifItalic">{span.text}</Txt>;
    case 'web':
      return <TextLink label={span.text} {...outsideLinkProps(span.uri)} />;
    case 'card':
      return <TextLink label={span.text} onPress={() => go(cardPath(span.uid))} />;
  }
}
