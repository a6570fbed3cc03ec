import { View } from 'react-native';

import { BLANK_ROWS } from '@/core/card';
import { texts } from '@/texts/card/edit';

import { FormField, type PartProps } from './FormField';
import { LabelAct, OnlySwitch } from './LabelAct';
import { Rows } from './Rows';

/** Postal addresses, a line for each part that people tell apart. */
export function AddressRows(props: PartProps) {
  const { form } = props;
  return (
    <Rows
      {...props}
      name="addresses"
      title={texts.address}
      noun="address"
      blank={BLANK_ROWS.addresses}
      row={(i, isFirst) => (
        <View className="gap-1">
          <LabelAct form={form} name={`addresses.${i}`} noun="address" choices={['work', 'home', 'billing']}>
            <OnlySwitch
              form={form}
              name={`addresses.${i}`}
              property="isPost"
              label={texts.postAddress}
              hint={texts.lettersAreSentHere}
            />
          </LabelAct>
          <FormField
            form={form}
            name={`addresses.${i}.street`}
            label={texts.streetAndNumber}
            isLong
            isFirst={isFirst}
            testID={`street-${i}`}
          />
          <View className="flex-row gap-4">
            <View className="w-[110px]">
              <FormField
                form={form}
                name={`addresses.${i}.postcode`}
                label={texts.postcode}
                testID={`postcode-${i}`}
              />
            </View>
            <View className="min-w-0 flex-1">
              <FormField
                form={form}
                name={`addresses.${i}.locality`}
                label={texts.town}
                testID={`town-${i}`}
              />
            </View>
          </View>
          <View className="flex-row gap-4">
            <View className="w-[110px]">
              <FormField form={form} name={`addresses.${i}.region`} label={texts.region} />
            </View>
            <View className="min-w-0 flex-1">
              <FormField
                form={form}
                name={`addresses.${i}.country`}
                label={texts.country}
                testID={`country-${i}`}
              />
            </View>
          </View>
        </View>
      )}
    />
  );
}
