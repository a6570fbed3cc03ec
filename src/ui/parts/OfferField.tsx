import { View } from 'react-native';

import { useEnter } from '../useEnter';
import { Field } from './Field';
import { OfferLine } from './OfferLine';

/** One thing that what is being typed may mean. */
export interface FieldOffer {
  readonly key: string;
  readonly title: string;
  /** '' for none. */
  readonly second: string;
  /** For screen readers: what pressing it does. */
  readonly name: string;
  readonly onPress: () => void;
  /** Whether it is so likely that Enter may take it, if it is the first such. */
  readonly isSure: boolean;
}

interface OfferFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly placeholder: string;
  readonly hint?: string;
  readonly isFirst?: boolean;
  readonly testID: string;
  readonly offers: readonly FieldOffer[];
  /** Whether these are all that the text as it stands may mean; Enter waits for it. */
  readonly isKnown: boolean;
}

/** A line to type in, with what it may mean under it; the first that is sure is taken by Enter, any by a press. */
export function OfferField({ offers, isKnown, ...field }: OfferFieldProps) {
  const sure = offers.find(({ isSure }) => isSure);
  const onEnter = useEnter(field.value, isKnown, () => sure?.onPress());
  return (
    <View>
      <Field {...field} onEnter={onEnter} />
      {offers.map(({ key, title, second, name, onPress }) => (
        <OfferLine key={key} {...{ title, second, name, onPress }} isChosen={isKnown && key === sure?.key} />
      ))}
    </View>
  );
}
