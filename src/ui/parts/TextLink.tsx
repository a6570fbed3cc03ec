import { type GestureResponderEvent, Text } from 'react-native';

interface TextLinkProps {
  readonly label: string;
  readonly onPress?: (event: GestureResponderEvent) => void;
}

/** A link within a text: underlined, so that it isn't known by its colour alone. Takes linkProps as well. */
export function TextLink({ label, ...link }: TextLinkProps) {
  return (
    // React Native's types don't know the web's tabIndex on a text.
    <Text role="link" {...({ tabIndex: 0 } as object)} className="text-berry underline" {...link}>
      {label}
    </Text>
  );
}
