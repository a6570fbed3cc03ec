import { texts } from '@/texts/find/quickline';
import { CircleHelp, ListRow, useColours } from '@/ui';

interface ExampleRowProps {
  readonly line: string;
  readonly id: string;
  readonly isChosen: boolean;
  readonly onTry: () => void;
}

/** A line to try: pressed, it stands in the line as if it had been typed. */
export function ExampleRow({ line, id, isChosen, onTry }: ExampleRowProps) {
  const colours = useColours();
  return (
    <ListRow
      role="option"
      nativeID={id}
      title={line}
      second={texts.examples}
      stamp={<CircleHelp size={24} strokeWidth={1.75} color={colours.faded} />}
      isChosen={isChosen}
      onPress={onTry}
    />
  );
}
