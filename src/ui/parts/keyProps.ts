interface Pressed {
  readonly key: string;
  readonly currentTarget: unknown;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
  preventDefault(): void;
  stopPropagation(): void;
}

/** Has an element do something by certain keys, before anything else hears of them; React Native has no such property. */
export function keyProps(acts: Readonly<Record<string, (element: HTMLElement) => void>>): object {
  return {
    onKeyDownCapture: (event: Pressed) => {
      const act = Object.hasOwn(acts, event.key) ? acts[event.key] : undefined;
      if (!act || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      act(event.currentTarget as HTMLElement);
    },
  };
}

/**
 * One of a group of radio buttons: the Tab key stops at the chosen one, or at the first where none is; arrows choose the
 * next one, Space chooses this one (WAI-ARIA Authoring Practices, radio group).
 */
export function radioProps<T extends string>(
  options: readonly (readonly [value: T, label: string])[],
  option: T,
  value: T | undefined,
  onChange: (value: T) => void,
): object {
  const values = options.map(([one]) => one);
  const to = (step: number) => (element: HTMLElement) => {
    const next = (values.indexOf(option) + step + values.length) % values.length;
    const other = values[next];
    if (other === undefined) return;
    onChange(other);
    const radios = element.closest('[role="radiogroup"]')?.querySelectorAll<HTMLElement>('[role="radio"]');
    radios?.item(next)?.focus();
  };
  const stop = value !== undefined && values.includes(value) ? value : values[0];
  return {
    tabIndex: option === stop ? 0 : -1,
    ...keyProps({
      ' ': () => onChange(option),
      ...{ ArrowRight: to(1), ArrowDown: to(1), ArrowLeft: to(-1), ArrowUp: to(-1) },
    }),
  };
}
