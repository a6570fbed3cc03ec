import { getFormat } from '@/core/formats';

import type { StandIn } from './standIn';

/** A computer: everything that vCard 4.0 says, and lists as groups. */
export const computer: StandIn = {
  kind: 'computer',
  name: 'Computer',
  everyMinutes: 10,
  photoSide: null,
  version: '4.0',
  groups: true,
  keep: (card) => card,
  write: (card) => getFormat('vcard4')?.write([card], { extensions: false }) ?? '',
};
