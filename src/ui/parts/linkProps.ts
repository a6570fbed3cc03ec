import type { GestureResponderEvent } from 'react-native';

interface Modified {
  readonly nativeEvent: {
    readonly metaKey?: boolean;
    readonly ctrlKey?: boolean;
    readonly shiftKey?: boolean;
  };
  preventDefault(): void;
}

/**
 * What makes something pressable a real link on the web: an address that can be opened in a new tab, while a plain
 * press stays within the application.
 */
export function linkProps(href: string, onPress: () => void) {
  return {
    // React Native's types don't know the web's href.
    ...({ href } as object),
    onPress: (event: GestureResponderEvent) => {
      const { nativeEvent, preventDefault } = event as unknown as Modified;
      if (nativeEvent.metaKey || nativeEvent.ctrlKey || nativeEvent.shiftKey) return;
      preventDefault.call(event);
      onPress();
    },
  };
}

/** A link that leaves the application: web pages open beside it, everything else with whatever the device has for it. */
export function outsideLinkProps(uri: string): object {
  const isWeb = /^https?:/i.test(uri);
  return { href: uri, ...(isWeb ? { hrefAttrs: { target: '_blank', rel: 'noopener noreferrer' } } : {}) };
}
