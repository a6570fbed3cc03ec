import { useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { BLANK_ROWS } from '@/core/card';
import { texts } from '@/texts/card/edit';

import { FormField, type PartProps } from './FormField';
import { Rows } from './Rows';

/** Where somebody works and as what; an organisation says what it does. */
export function WorkRows(props: PartProps) {
  const { form, at } = props;
  const kind = useWatch({ control: form.control, name: 'kind' });
  const isOrg = kind === 'org';
  // The first row's names are those that people and tests look for.
  const idOf = (name: string, i: number) => (i === 0 ? `field-${name}` : `${name}-${i}`);
  return (
    <Rows
      {...props}
      name="work"
      title={texts.work}
      noun={isOrg ? texts.lineOfWork : texts.placeOfWork}
      blank={BLANK_ROWS.work}
      row={(i, isFirst) => (
        <View className="gap-1">
          <FormField
            form={form}
            name={`work.${i}.post`}
            label={isOrg ? texts.whatItDoes : texts.whatTheyDo}
            isFirst={isFirst || (i === 0 && at === 'titles')}
            testID={idOf('title', i)}
          />
          {isOrg ? null : (
            <>
              <FormField
                form={form}
                name={`work.${i}.organization`}
                label={texts.organisation}
                isFirst={i === 0 && at === 'organizations'}
                testID={idOf('organization', i)}
              />
              <View className="flex-row gap-4">
                <View className="min-w-0 flex-1">
                  <FormField
                    form={form}
                    name={`work.${i}.unit`}
                    label={texts.department}
                    testID={idOf('unit', i)}
                  />
                </View>
                <View className="min-w-0 flex-1">
                  <FormField
                    form={form}
                    name={`work.${i}.role`}
                    label={texts.role}
                    testID={idOf('role', i)}
                  />
                </View>
              </View>
            </>
          )}
        </View>
      )}
    />
  );
}
