import type { ComponentType } from 'react';

import type { FormPartId } from '@/core/card';

import { AddressRows } from './AddressRows';
import { FileRows } from './FileRows';
import type { PartProps } from './FormField';
import {
  AccountRows,
  DateRows,
  InfoRows,
  KeyRows,
  LinkRows,
  MailRows,
  NoteRows,
  OwnRows,
  PhoneRows,
} from './ListRows';
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
  phones: PhoneRows,
  emails: MailRows,
  accounts: AccountRows,
  addresses: AddressRows,
  links: LinkRows,
  dates: DateRows,
  relations: RelationRows,
  infos: InfoRows,
  languages: LanguagesLine,
  timeZone: TimeZoneLine,
  ring: RingtoneChoice,
  tags: TagsLine,
  notes: NoteRows,
  ownFields: OwnRows,
  files: FileRows,
  keys: KeyRows,
};
