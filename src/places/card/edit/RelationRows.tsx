import { useController } from 'react-hook-form';
import { View } from 'react-native';

import { BLANK_ROWS, RELATION_WORDS } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';
import { Field } from '@/ui';

import type { PartProps } from './FormField';
import { FoundCards, useFoundCards } from './FoundCards';
import { LabelAct } from './LabelAct';
import { Rows } from './Rows';

/** Cards offered while a name is typed. */
const OFFERED = 5;

/** Family, friends, who works for whom; the relation appears on the other card by itself. */
export function RelationRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="relations"
      title={shared.familyAndOtherPeople}
      noun={texts.relatedPerson}
      blank={BLANK_ROWS.relations}
      row={(i, isFirst) => (
        <View className="flex-row items-start gap-2">
          <LabelAct
            form={props.form}
            name={`relations.${i}`}
            noun="relation"
            choices={RELATION_WORDS}
            isColumn
          />
          <View className="min-w-0 flex-1">
            <RelatedName {...props} index={i} isFirst={isFirst} />
          </View>
        </View>
      )}
    />
  );
}

/** A name that finds a card; one that is found nowhere makes a card when this one is saved. */
function RelatedName({
  form,
  index,
  isFirst,
}: PartProps & { readonly index: number; readonly isFirst: boolean }) {
  const { field: name } = useController({ control: form.control, name: `relations.${index}.text` });
  const { field: uid } = useController({ control: form.control, name: `relations.${index}.id` });
  const isOpen = uid.value === '' || uid.value.startsWith('new-');
  const text = name.value.trim();
  const found = useFoundCards(isOpen ? text : '', OFFERED);
  const choose = (chosen: string, shown: string) => {
    uid.onChange(chosen);
    name.onChange(shown);
  };
  return (
    <View>
      <Field
        label={texts.relatedPersonNumbered(index + 1)}
        isLabelHidden
        placeholder={texts.name}
        value={name.value}
        onChange={(typed) => {
          name.onChange(typed);
          // Another name is another person.
          if (!isOpen) uid.onChange('');
        }}
        hint={
          isOpen && text !== ''
            ? found.length > 0
              ? texts.chooseCardOrKeep
              : texts.newCardWillBeMade
            : undefined
        }
        isFirst={isFirst}
        testID={`related-${index}`}
      />
      <FoundCards uids={found} verb={texts.choose} onChoose={choose} />
    </View>
  );
}
