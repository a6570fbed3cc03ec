import type { Name, NameComponent } from '../schema/types';
import { isFamilyFirstScript } from './scripts';

const WESTERN_ORDER = ['title', 'given', 'given2', 'surname', 'surname2', 'generation', 'credential'];
const EASTERN_ORDER = ['title', 'surname', 'surname2', 'given', 'given2', 'generation', 'credential'];

/**
 * A name as it is shown: `full` where it is set, else its components.
 *
 * Source: RFC 9553 §2.2.1. Ordered components are joined by `defaultSeparator` (a space where none is set) or by
 * the separator components between them; unordered ones are put in the order of their script.
 *
 * @returns '' for a name without parts
 */
export function formatName(name: Name | undefined): string {
  return name?.full ?? deriveName(name);
}

/** The name that the components alone give; what FN would be if it were derived (RFC 9554 §4.3, DERIVED). */
export function deriveName(name: Name | undefined): string {
  const components = name?.components ?? [];
  if (name?.isOrdered === true) return joinOrdered(components, name.defaultSeparator ?? ' ');
  const own = components.filter(({ kind }) => kind !== 'separator');
  const proper = own.filter(({ kind }) => kind === 'given' || kind === 'surname');
  const isEastern = proper.length > 0 && isFamilyFirstScript(proper.map(({ value }) => value).join(''));
  const order = isEastern ? EASTERN_ORDER : WESTERN_ORDER;
  const sorted = order.flatMap((kind) => own.filter((component) => component.kind === kind));
  return sorted
    .map(({ value }) => value)
    .filter(Boolean)
    .join(isEastern && /^[\p{Script=Han}々]+$/u.test(proper.map(({ value }) => value).join('')) ? '' : ' ');
}

function joinOrdered(components: readonly NameComponent[], defaultSeparator: string): string {
  let text = '';
  let wantsSeparator = false;
  for (const { kind, value } of components) {
    if (kind === 'separator') {
      text += value;
      wantsSeparator = false;
    } else if (value !== '') {
      text += (wantsSeparator ? defaultSeparator : '') + value;
      wantsSeparator = true;
    }
  }
  return text;
}
