/** The parts of the editing page beside the name itself, in groups, in the order in which they are offered. */
export const FORM_PARTS = [
  { id: 'parts', title: 'Parts of the name', group: 'Name' },
  { id: 'nickname', title: 'Nickname', group: 'Name' },
  { id: 'pronouns', title: 'Pronouns', group: 'Name' },
  { id: 'work', title: 'Work', group: 'Work' },
  { id: 'phones', title: 'Phone', group: 'Reach' },
  { id: 'emails', title: 'Mail', group: 'Reach' },
  { id: 'accounts', title: 'Account or chat', group: 'Reach' },
  { id: 'addresses', title: 'Address', group: 'Reach' },
  { id: 'links', title: 'Web', group: 'Reach' },
  { id: 'dates', title: 'Birthday and other days', group: 'Life' },
  { id: 'relations', title: 'Family and other people', group: 'Life' },
  { id: 'infos', title: 'Interests, hobbies, what they are good at', group: 'Life' },
  { id: 'languages', title: 'Languages', group: 'Life' },
  { id: 'timeZone', title: 'Time zone', group: 'Life' },
  { id: 'ring', title: 'Ringtone', group: 'Life' },
  { id: 'tags', title: 'Tags', group: 'More' },
  { id: 'notes', title: 'Note', group: 'More' },
  { id: 'ownFields', title: 'Custom field', group: 'More' },
  { id: 'files', title: 'File', group: 'More' },
  { id: 'keys', title: 'Key', group: 'More' },
] as const;

/** The name of a part. */
export type FormPartId = (typeof FORM_PARTS)[number]['id'];

/** What a new card offers at once, before the user has laid it out otherwise. */
export const DEFAULT_LAYOUT: readonly FormPartId[] = [
  ...(['work', 'nickname', 'phones', 'emails', 'addresses', 'links', 'dates', 'notes'] as const),
];
