import { useHubAnswer } from '@/book/sync';
import { withSource } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/many';
import { Sheet, Txt } from '@/ui';

import type { ManySheetProps } from '../parts/manySheet';
import { nameCards } from '../parts/nameCards';
import { ShareTick } from './ShareTick';

/** The servers, and devices that hold only what is stored there: ticking one stores the selected cards on it. */
export function SourcesSheet({ cards, onSheet, onChange }: ManySheetProps) {
  const { value, fault } = useHubAnswer('devices', (hub, token) => hub.devices(token));
  const count = nameCards(cards);
  const known = (value?.devices ?? []).filter(({ own, server }) => own || server !== null);
  const put = (name: string, isOn: boolean) =>
    void onChange({
      cards,
      label: isOn ? texts.storedOn(count, name) : texts.noLongerStoredOn(count, name),
      change: (card) => withSource(card, name, isOn),
    });
  return (
    <Sheet title={texts.whereIsStored(count)} isOpen onClose={() => onSheet(undefined)}>
      {value === undefined ? (
        <Txt tone="faded">{fault === '' ? shared.contactingHub : shared.hubDidNotAnswer(fault)}</Txt>
      ) : null}
      {value !== undefined && known.length === 0 ? <Txt tone="faded">{texts.noServerIsConnected}</Txt> : null}
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
          {texts.devicesWhosePassportCovers}
        </Txt>
      ) : null}
    </Sheet>
  );
}
