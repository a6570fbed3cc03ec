import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/editing';

/** The parts of the editing page beside the name itself, in groups, in the order in which they are offered. */
export const FORM_PARTS = [
  { id: 'parts', title: shared.partsOfName, group: texts.name },
  { id: 'nickname', title: texts.nickname, group: texts.name },
  { id: 'pronouns', title: texts.pronouns, group: texts.name },
  { id: 'work', title: texts.work, group: texts.work },
  { id: 'phones', title: texts.phone, group: texts.reach },
  { id: 'emails', title: texts.mail, group: texts.reach },
  { id: 'accounts', title: shared.accountOrChat, group: texts.reach },
  { id: 'addresses', title: texts.address, group: texts.reach },
  { id: 'links', title: texts.web, group: texts.reach },
  { id: 'dates', title: texts.birthdayAndOtherDays, group: texts.life },
  { id: 'relations', title: shared.familyAndOtherPeople, group: texts.life },
  { id: 'infos', title: texts.interestsHobbiesWhatThey, group: texts.life },
  { id: 'languages', title: texts.languages, group: texts.life },
  { id: 'timeZone', title: shared.timeZone, group: texts.life },
  { id: 'ring', title: texts.ringtone, group: texts.life },
  { id: 'tags', title: texts.tags, group: texts.more },
  { id: 'notes', title: texts.note, group: texts.more },
  { id: 'ownFields', title: texts.customField, group: texts.more },
  { id: 'files', title: texts.file, group: texts.more },
  { id: 'keys', title: texts.key, group: texts.more },
] as const;

/** The name of a part. */
export type FormPartId = (typeof FORM_PARTS)[number]['id'];

/** What a new card offers at once, before the user has laid it out otherwise. */
export const DEFAULT_LAYOUT: readonly FormPartId[] = [
  ...(['work', 'nickname', 'phones', 'emails', 'addresses', 'links', 'dates', 'notes'] as const),
];
