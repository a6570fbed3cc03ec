import { useEffect, useState } from 'react';
import { useController } from 'react-hook-form';
import { Pressable, View } from 'react-native';

import { selectRowsByUid, useAppSelector, useServices } from '@/book';
import { BLANK_ROWS, RELATION_WORDS } from '@/core/editing';
import { Field, Txt } from '@/ui';

import type { PartProps } from './FormField';
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
      title="Family and other people"
      noun="related person"
      blank={BLANK_ROWS.relations}
      row={(i, isFirst) => (
        <>
          <RelatedName {...props} index={i} isFirst={isFirst} />
          <LabelAct form={props.form} name={`relations.${i}`} noun="relation" choices={RELATION_WORDS} />
        </>
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
  const { search } = useServices();
  const rows = useAppSelector(selectRowsByUid);
  const { field: name } = useController({ control: form.control, name: `relations.${index}.text` });
  const { field: uid } = useController({ control: form.control, name: `relations.${index}.id` });
  const [hits, setHits] = useState<{ text: string; uids: readonly string[] }>({ text: '', uids: [] });
  const isOpen = uid.value === '' || uid.value.startsWith('new-');
  const text = name.value.trim();
  useEffect(() => {
    let isCurrent = true;
    if (isOpen && text !== '')
      void search.query(text, OFFERED).then((answer) => {
        if (isCurrent) setHits({ text, uids: answer.map((hit) => hit.uid) });
      });
    return () => {
      isCurrent = false;
    };
  }, [isOpen, search, text]);
  const found = isOpen && hits.text === text ? hits.uids : [];
  const choose = (chosen: string) => {
    uid.onChange(chosen);
    name.onChange(rows[chosen]?.shown ?? name.value);
  };
  return (
    <View>
      <Field
        label={`Related person ${index + 1}`}
        isLabelHidden
        placeholder="Name"
        value={name.value}
        onChange={(typed) => {
          name.onChange(typed);
          // Another name is another person.
          if (!isOpen) uid.onChange('');
        }}
        hint={
          isOpen && text !== ''
            ? found.length > 0
              ? 'Choose a card, or go on for a new one'
              : 'A new card will be made'
            : undefined
        }
        isFirst={isFirst}
        testID={`related-${index}`}
      />
      {found.map((one) => (
        <Pressable
          key={one}
          role="button"
          aria-label={`Choose ${rows[one]?.shown ?? 'this card'}`}
          onPress={() => choose(one)}
          className="min-h-[44px] justify-center border-b border-rule pl-3 hover:bg-leaf active:bg-leaf"
        >
          <Txt font="serif" size="strong">
            {rows[one]?.shown ?? one}
          </Txt>
          <Txt size="small" tone="faded">
            {rows[one]?.second ?? ''}
          </Txt>
        </Pressable>
      ))}
    </View>
  );
}
