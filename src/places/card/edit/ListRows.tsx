import type { ComponentProps } from 'react';
import { View } from 'react-native';

import { BLANK_ROWS, type CardForm } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';
import type { Field } from '@/ui';

import { FormField, type PartProps } from './FormField';
import { LabelAct } from './LabelAct';
import { LinkCardAct } from './LinkCardAct';
import { RemindAct } from './RemindAct';
import { Rows } from './Rows';

const PLACES = ['work', 'home'];

/** The collections whose entries are one value each, with what tells them apart on the page. */
type ListPart =
  'phones' | 'emails' | 'links' | 'dates' | 'notes' | 'accounts' | 'infos' | 'ownFields' | 'keys';

interface ListLook {
  readonly title: string;
  /** One of them, for the words of the acts: "phone". */
  readonly noun: string;
  /** The field of an entry in which its value stands. */
  readonly value: 'number' | 'address' | 'uri' | 'text';
  /** The name of an entry's field, for screen readers. */
  readonly named: (number: number) => string;
  readonly field: Pick<ComponentProps<typeof Field>, 'kind' | 'placeholder' | 'isLong' | 'hint'>;
  /** The usual labels; none where an entry has no label. */
  readonly labels?: readonly string[];
  readonly testID: string;
}

const LISTS: Readonly<Record<ListPart, ListLook>> = {
  phones: {
    title: texts.phone,
    noun: 'phone',
    value: 'number',
    named: texts.phoneNumbered,
    field: { kind: 'tel', placeholder: texts.number },
    labels: ['mobile', 'work', 'home', 'work mobile', 'main', 'fax'],
    testID: 'phone',
  },
  emails: {
    title: texts.mail,
    noun: texts.mailAddress,
    value: 'address',
    named: texts.mailNumbered,
    field: { kind: 'email', placeholder: texts.nameExampleOrg },
    labels: PLACES,
    testID: 'mail',
  },
  links: {
    title: texts.web,
    noun: shared.webAddress,
    value: 'uri',
    named: texts.webAddress,
    field: { kind: 'url', placeholder: texts.exampleOrg },
    labels: PLACES,
    testID: 'link',
  },
  dates: {
    title: texts.days,
    noun: 'day',
    value: 'text',
    named: texts.day,
    field: { placeholder: texts.from3February1968OrWithout },
    labels: ['birthday', texts.weddingDay, 'death'],
    testID: 'date',
  },
  notes: {
    title: texts.note,
    noun: 'note',
    value: 'text',
    named: texts.noteNumbered,
    field: { isLong: true, hint: texts.strongEmphasisLinesWithAreList },
    testID: 'note',
  },
  // Names on services, and chat addresses; the label is the service.
  accounts: {
    title: shared.accountOrChat,
    noun: 'account',
    value: 'text',
    named: texts.accountOrChat,
    field: { kind: 'text', placeholder: texts.userNameOrAddress },
    labels: [],
    testID: 'accounts',
  },
  infos: {
    title: texts.interests,
    noun: 'interest',
    value: 'text',
    named: texts.interestsNumbered,
    field: { kind: 'text', placeholder: texts.earlyMusic },
    labels: ['interest', 'hobby', 'expertise'],
    testID: 'infos',
  },
  // The label is the field's name.
  ownFields: {
    title: texts.customFields,
    noun: texts.customField,
    value: 'text',
    named: texts.customFieldsNumbered,
    field: { kind: 'text', placeholder: texts.value },
    labels: [],
    testID: 'ownFields',
  },
  // For encrypted mail.
  keys: {
    title: texts.keys,
    noun: 'key',
    value: 'text',
    named: texts.keysNumbered,
    field: { kind: 'url', placeholder: texts.httpsExampleOrgKey },
    testID: 'keys',
  },
};

/** The view of a collection of single values: each on a line with its label before it. */
export function listRows(part: ListPart) {
  return function ListRows(props: PartProps) {
    const { title, noun, value, named, field, labels, testID } = LISTS[part];
    return (
      <Rows
        {...props}
        name={part}
        title={title}
        noun={noun}
        blank={BLANK_ROWS[part] as Omit<CardForm[typeof part][number], 'id'>}
        row={(i, isFirst) => (
          <View className="flex-row items-start gap-2">
            {labels ? (
              <LabelAct
                form={props.form}
                name={`${part as 'phones'}.${i}`}
                noun={noun}
                choices={labels}
                isColumn
              >
                {part === 'emails' ? <ShownAs form={props.form} index={i} /> : null}
              </LabelAct>
            ) : null}
            <View className="min-w-0 flex-1">
              <FormField
                {...field}
                form={props.form}
                // The paths of one collection stand for those of all.
                name={`${part as 'phones'}.${i}.${value as 'number'}`}
                label={named(i + 1)}
                isLabelHidden
                isFirst={isFirst}
                testID={`${testID}-${i}`}
              />
              {part === 'notes' ? (
                <>
                  <LinkCardAct form={props.form} index={i} />
                  <RemindAct form={props.form} index={i} />
                </>
              ) : null}
            </View>
          </View>
        )}
      />
    );
  };
}

/** The name that a mail address goes by, where it is not the card's. */
function ShownAs({ form, index }: Pick<PartProps, 'form'> & { readonly index: number }) {
  return (
    <FormField
      form={form}
      name={`emails.${index}.shownAs`}
      label={texts.nameShownInMail}
      hint={texts.ifItDiffersFromCards}
    />
  );
}
