import { useState } from 'react';
import { View } from 'react-native';

import { foldedWords } from '@/core/base';
import { FORM_PARTS, type FormPartId } from '@/core/card';
import { texts } from '@/texts/card/edit';
import { Act, Field, Plus, Sheet, Txt } from '@/ui';

const GROUPS = [...new Set(FORM_PARTS.map(({ group }) => group))];

interface AddPartProps {
  /** Parts that are on the page already. */
  readonly shown: readonly FormPartId[];
  readonly onAdd: (part: FormPartId) => void;
}

/** Everything else that a card can hold, in groups; typing narrows it down. */
export function AddPart({ shown, onAdd }: AddPartProps) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const words = foldedWords(text);
  const offered = FORM_PARTS.filter(
    ({ id, title, group }) =>
      !shown.includes(id) &&
      words.every((word) => foldedWords(`${title} ${group}`).some((one) => one.startsWith(word))),
  );
  const add = (part: FormPartId) => {
    setOpen(false);
    setText('');
    onAdd(part);
  };
  if (shown.length === FORM_PARTS.length) return null;
  return (
    <View className="flex-row">
      <Act label={texts.addField} icon={Plus} onPress={() => setOpen(true)} testID="add-part" />
      <Sheet title={texts.moreFields} isOpen={isOpen} onClose={() => setOpen(false)}>
        <Field label={texts.typeToFilter} value={text} onChange={setText} isFirst testID="add-part-filter" />
        {GROUPS.map((group) => {
          const parts = offered.filter((part) => part.group === group);
          return parts.length === 0 ? null : (
            <View key={group} className="pt-3">
              <Txt size="small" font="sansBold" tone="faded" heading={3}>
                {group}
              </Txt>
              {parts.map(({ id, title }) => (
                <Act key={id} label={title} onPress={() => add(id)} testID={`add-part-${id}`} />
              ))}
            </View>
          );
        })}
        {offered.length === 0 ? <Txt tone="faded">{texts.noFieldHasThatName}</Txt> : null}
      </Sheet>
    </View>
  );
}
