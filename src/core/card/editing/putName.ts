import { deriveName, formatName } from '../name/formatName';
import { parseName } from '../name/parseName';
import type { Card, Name, NameComponent } from '../schema/types';
import type { CardForm } from './cardForm';
import { isSameRow, put } from './putRows';

/** The parts of a name that are typed one by one, in their usual order. */
export const PART_KINDS = [
  'title',
  'given',
  'given2',
  'surname',
  'surname2',
  'generation',
  'credential',
] as const;

/** The name as the form has it: by its parts where these were touched, else by its line. */
export function putName(card: Card, form: CardForm, before: CardForm): void {
  const isLineTouched = form.name !== before.name || form.kind !== before.kind;
  const { givenSound: _, surnameSound: __, sortedAs: ___, ...wished } = form.parts;
  const { givenSound: ____, surnameSound: _____, sortedAs: ______, ...had } = before.parts;
  let name = card.name;
  if (form.kind === 'org') {
    if (isLineTouched) name = form.name.trim() === '' ? undefined : { full: form.name.trim() };
  } else if (!isSameRow(wished, had)) name = nameOfParts(form);
  else if (isLineTouched) name = nameOfLine(card, form);
  name = withSounds(name, form.parts, before.parts);
  if (form.parts.sortedAs !== before.parts.sortedAs) name = withSorting(name, form.parts.sortedAs.trim());
  if (name !== card.name) put(card, 'name', name);
}

/** Components in their usual order; what is shown is the line, where that isn't what they give by themselves. */
function nameOfParts({ name: line, parts }: CardForm): Name | undefined {
  const components: NameComponent[] = PART_KINDS.flatMap((kind) =>
    parts[kind].trim() === '' ? [] : [{ kind, value: parts[kind].trim() }],
  );
  const full = line.trim();
  if (components.length === 0) return full === '' ? undefined : { full };
  return full === '' || full === deriveName({ components }) ? { components } : { components, full };
}

/** A typed name in its parts. */
function nameOfLine(card: Card, form: CardForm): Name | undefined {
  const line = form.name.trim();
  if (line === '') return undefined;
  const kinds = (card.name?.components ?? []).map(({ kind }) => kind);
  const familyFirst =
    kinds.includes('given') &&
    kinds.indexOf('surname') !== -1 &&
    kinds.indexOf('surname') < kinds.indexOf('given');
  const isOrdered = card.name?.isOrdered === true && !formatName(card.name).includes(',');
  const name = parseName(line, {
    familyFirst: isOrdered && familyFirst,
    doubleSurname: kinds.includes('surname2'),
  });
  const sortAs = form.name.includes(',') ? undefined : card.name?.sortAs;
  return name && (sortAs ? { ...name, sortAs } : name);
}

function withSounds(
  name: Name | undefined,
  parts: CardForm['parts'],
  before: CardForm['parts'],
): Name | undefined {
  if (
    !name?.components ||
    (parts.givenSound === before.givenSound && parts.surnameSound === before.surnameSound)
  )
    return name;
  const sounds: Record<string, string> = { given: parts.givenSound, surname: parts.surnameSound };
  const said = new Set<string>();
  const components = name.components.map((component) => {
    const sound = sounds[component.kind];
    if (sound === undefined) return component;
    const { phonetic: _, ...rest } = component;
    // The whole sound stands with the first component of its kind.
    const isFirst = !said.has(component.kind);
    said.add(component.kind);
    return isFirst && sound.trim() !== '' ? { ...rest, phonetic: sound.trim() } : rest;
  });
  return { ...name, components };
}

function withSorting(name: Name | undefined, surname: string): Name | undefined {
  if (!name) return name;
  const { sortAs = {}, ...rest } = name;
  const { surname: _, ...others } = sortAs;
  const wished = surname === '' ? others : { ...others, surname };
  return Object.keys(wished).length === 0 ? rest : { ...rest, sortAs: wished };
}
