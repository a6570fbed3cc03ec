import { act } from 'react';

import { renderDom } from '../../test/unit/renderDom';
import { useSwipe } from './useSwipe';

function Row({ onSwipe }: { readonly onSwipe: (way: 1 | -1) => void }) {
  const { dx, handlers } = useSwipe(onSwipe);
  return <div role="row" {...handlers} aria-label={`${dx} px aside`} />;
}

/** A finger that goes through these places, all before the row is drawn again where it is `quick`. */
async function swipe(row: HTMLElement, xs: readonly number[], isQuick: boolean, ys = xs.map(() => 0)) {
  row.setPointerCapture = () => undefined;
  const send = (type: string, x: number, y: number) => {
    const at = { bubbles: true, clientX: x, clientY: y };
    row.dispatchEvent(Object.assign(new MouseEvent(type, at), { pointerType: 'touch', pointerId: 7 }));
  };
  const steps = [
    () => send('pointerdown', xs[0] ?? 0, ys[0] ?? 0),
    ...xs.slice(1).map((x, i) => () => send('pointermove', x, ys[i + 1] ?? 0)),
    () => send('pointerup', xs.at(-1) ?? 0, ys.at(-1) ?? 0),
  ];
  if (isQuick) await act(async () => steps.forEach((step) => step()));
  else for (const step of steps) await act(async () => step());
}

test.each([true, false])('a swipe of more than its measure is one, however quick (%s)', async (isQuick) => {
  const onSwipe = jest.fn();
  const { get } = renderDom(<Row onSwipe={onSwipe} />);
  await swipe(get('row'), [0, 40, 120], isQuick);
  await swipe(get('row'), [0, -40, -120], isQuick);
  await swipe(get('row'), [0, 20, 40], isQuick);
  expect(onSwipe.mock.calls).toEqual([[1], [-1]]);
  expect(get('row').getAttribute('aria-label')).toBe('0 px aside');
});

test('a finger that goes up or down scrolls, whatever it does then; one that comes back does nothing', async () => {
  const onSwipe = jest.fn();
  const { get } = renderDom(<Row onSwipe={onSwipe} />);
  await swipe(get('row'), [0, 4, 120], true, [0, 30, 30]);
  await swipe(get('row'), [0, 120, 10], true);
  expect(onSwipe).not.toHaveBeenCalled();
});
