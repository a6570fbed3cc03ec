import { getFormat } from '@/core/formats';

import type { StandIn } from './standIn';

/** A computer: keeps everything that vCard 4.0 has, and lists as groups. */
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
