import { idFor } from '../nextId';
import type { Card, Organization, Title } from '../schema/types';
import type { CardForm } from './cardForm';
import { isSameRow, put } from './putRows';

type Work = CardForm['work'][number];

/** Organisations, and what somebody does there: entries of two collections that the form has as one row. */
export function putWork(card: Card, rows: readonly Work[], before: readonly Work[]): void {
  if (isSameRow(rows, before)) return;
  const houses: Record<string, Organization> = {};
  const titles: Record<string, Title> = {};
  const isOne = rows.filter(({ organization, unit }) => (organization + unit).trim() !== '').length <= 1;
  for (const row of rows) {
    const houseId = putHouse(card, houses, row);
    // With one organisation it goes without saying where the post is.
    const owner = isOne ? undefined : houseId;
    putTitle(card, titles, { id: row.postId, name: row.post, kind: 'title', owner });
    putTitle(card, titles, { id: row.roleId, name: row.role, kind: 'role', owner });
  }
  put(card, 'organizations', Object.keys(houses).length === 0 ? undefined : houses);
  put(card, 'titles', Object.keys(titles).length === 0 ? undefined : titles);
}

function putHouse(card: Card, houses: Record<string, Organization>, row: Work): string | undefined {
  const name = row.organization.trim();
  const units = row.unit.split(';').flatMap((unit) => (unit.trim() === '' ? [] : [unit.trim()]));
  if (name === '' && units.length === 0) return undefined;
  const old = card.organizations?.[row.id];
  const { name: oldName, units: oldUnits, ...rest } = old ?? {};
  // How it is sorted was said of the old name.
  const { sortAs: _, ...others } = rest;
  const house: Organization = {
    ...(oldName === name ? rest : others),
    ...(name === '' ? {} : { name }),
    ...(units.length === 0
      ? {}
      : { units: units.map((unit) => oldUnits?.find((one) => one.name === unit) ?? { name: unit }) }),
  };
  const id = row.id === '' ? idFor('organizations', house, { ...card.organizations, ...houses }) : row.id;
  houses[id] = house;
  return id;
}

interface Post {
  readonly id: string;
  readonly name: string;
  readonly kind: 'title' | 'role';
  readonly owner: string | undefined;
}

function putTitle(card: Card, titles: Record<string, Title>, { id, name, kind, owner }: Post): void {
  if (name.trim() === '') return;
  const old = id === '' ? undefined : card.titles?.[id];
  const { organizationId, ...rest } = old ?? {};
  const house = owner ?? organizationId;
  const title: Title = {
    ...(old ? rest : { kind }),
    name: name.trim(),
    ...(house === undefined ? {} : { organizationId: house }),
  };
  titles[old ? id : idFor('titles', title, { ...card.titles, ...titles })] = title;
}
