import { useHubAnswer } from '@/book/sync';
import { withSource } from '@/core/card';
import { Sheet, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';
import { ShareTick } from './ShareTick';

/** At which of the servers and devices that have only what is kept there the chosen are kept: ticking one copies them to it. */
export function SourcesSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const { value, fault } = useHubAnswer('devices', (hub, token) => hub.devices(token));
  const count = nameCards(cards);
  const known = (value?.devices ?? []).filter(({ own, server }) => own || server !== null);
  const put = (name: string, isOn: boolean) =>
    void onChange({
      cards,
      label: isOn ? `Stored ${count} on ${name}` : `No longer stored ${count} on ${name}`,
      change: (card) => withSource(card, name, isOn),
    });
  return (
    <Sheet title={`Where ${count} is stored`} isOpen onClose={() => onSheet(undefined)}>
      {value === undefined ? (
        <Txt tone="faded">{fault === '' ? 'Contacting the hub …' : `The hub did not answer: ${fault}.`}</Txt>
      ) : null}
      {value !== undefined && known.length === 0 ? (
        <Txt tone="faded">
          No server is connected under Devices, and no device has a passport for what is kept there.
        </Txt>
      ) : null}
      {known.map(({ name }) => (
        <ShareTick
          key={name}
          name={name}
          on={cards.filter((card) => card['cordialis.example:sources']?.[name] === true).length}
          of={cards.length}
          onChange={(isOn) => put(name, isOn)}
        />
      ))}
      {known.some(({ own }) => !own) ? (
        <Txt size="small" tone="faded">
          Devices whose passport covers all cards have them anyway.
        </Txt>
      ) : null}
    </Sheet>
  );
}
