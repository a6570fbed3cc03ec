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
 *
 * @param onShiftPress - what Shift does instead of opening a new window
 */
export function linkProps(href: string, onPress: () => void, onShiftPress?: () => void) {
  return {
    // React Native's types don't know the web's href.
    ...({ href } as object),
    onPress: (event: GestureResponderEvent) => {
      const { nativeEvent, preventDefault } = event as unknown as Modified;
      if (nativeEvent.metaKey || nativeEvent.ctrlKey) return;
      if (nativeEvent.shiftKey && !onShiftPress) return;
      preventDefault.call(event);
      if (nativeEvent.shiftKey) onShiftPress?.();
      else onPress();
    },
  };
}

/** Whether Shift was held while something was pressed. */
export function isShiftPress(event: GestureResponderEvent): boolean {
  return (event as unknown as Modified).nativeEvent.shiftKey === true;
}

/** A link that leaves the application: web pages open beside it, everything else with whatever the device has for it. */
export function outsideLinkProps(uri: string): object {
  const isWeb = /^https?:/i.test(uri);
  return { href: uri, ...(isWeb ? { hrefAttrs: { target: '_blank', rel: 'noopener noreferrer' } } : {}) };
}
