/** What takes the focus by Tab. */
const TABBABLE = 'a[href], button:not([disabled]), input:not([disabled]), textarea, select, [tabindex="0"]';

/** Puts the focus on the first thing within an element that Tab leads to, unless one of them has it already. */
export function focusWhatIsFor(element: HTMLElement | null): void {
  const [all, active] = [
    [...(element?.querySelectorAll<HTMLElement>(TABBABLE) ?? [])],
    document.activeElement,
  ];
  if (all.some((one) => one === active)) return;
  all[0]?.focus();
}
