import type { ComponentType } from 'react';

import type { FormPartId } from '@/core/card';

import { AddressRows } from './AddressRows';
import { FileRows } from './FileRows';
import type { PartProps } from './FormField';
import { listRows } from './ListRows';
import { NameParts } from './NameParts';
import { RelationRows } from './RelationRows';
import { RingtoneChoice } from './RingtoneChoice';
import { LanguagesLine, NicknameLine, PronounsLine, TagsLine, TimeZoneLine } from './SingleLines';
import { WorkRows } from './WorkRows';

/** What draws each part of the editing page. */
export const PART_VIEWS: Readonly<Record<FormPartId, ComponentType<PartProps>>> = {
  parts: NameParts,
  nickname: NicknameLine,
  pronouns: PronounsLine,
  work: WorkRows,
  phones: listRows('phones'),
  emails: listRows('emails'),
  accounts: listRows('accounts'),
  addresses: AddressRows,
  links: listRows('links'),
  dates: listRows('dates'),
  relations: RelationRows,
  infos: listRows('infos'),
  languages: LanguagesLine,
  timeZone: TimeZoneLine,
  ring: RingtoneChoice,
  tags: TagsLine,
  notes: listRows('notes'),
  ownFields: listRows('ownFields'),
  files: FileRows,
  keys: listRows('keys'),
};
