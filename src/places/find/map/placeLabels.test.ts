import fc from 'fast-check';

import { type Labelled, markWidth, placeLabels, widthOf } from './placeLabels';

const size = { width: 390, height: 370 };
const mark = (x: number, y: number, label: string, count = 1): Labelled => ({
  ...{ x, y, label, count },
  width: markWidth(count),
});

test('a name stands at the right of its mark, and on another side where that is taken or ends', () => {
  expect(placeLabels([mark(100, 100, 'Wexmere')], size)[0]?.dx).toBeGreaterThan(0);
  const [atEdge] = placeLabels([mark(370, 100, 'Wexmere')], size);
  expect(atEdge?.dx).toBeLessThan(-20);
  // Something larger lies at the right and at the left: the name goes under it.
  const [, between] = placeLabels(
    [mark(140, 100, '', 9), mark(100, 100, 'Wexmere'), mark(60, 100, '', 8)],
    size,
  );
  expect(between?.dy).toBeGreaterThan(0);
});

test('of two names for one place the larger mark’s stands', () => {
  const marks = [20, 45, 70, 95, 120].flatMap((x) => [
    mark(x, 100, 'Long name of a town', x),
    mark(x, 130, 'Another', 1),
  ]);
  const places = placeLabels(marks, { width: 200, height: 150 });
  expect(places.filter(Boolean).length).toBeGreaterThan(0);
  expect(places.filter(Boolean).length).toBeLessThan(marks.length);
});

test('wherever marks are, no name lies on a mark, on another name or over the edge', () => {
  const any = fc.record({
    x: fc.integer({ min: 0, max: 390 }),
    y: fc.integer({ min: 0, max: 370 }),
    label: fc.constantFrom('Wexmere', 'Oslo', 'Santiago de Compostela', '東京', 'Γλασκόβη', ''),
    count: fc.integer({ min: 1, max: 4000 }),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 25 }), (some) => {
      const marks = some.map((one) => ({ ...one, width: markWidth(one.count) }));
      const places = placeLabels(marks, size);
      const names = marks.flatMap((one, i) => {
        const place = places[i];
        if (!place) return [];
        const left = one.x + place.dx;
        const top = one.y + place.dy;
        return [{ i, left, top, right: left + widthOf(one.label), bottom: top + 18 }];
      });
      for (const name of names) {
        expect(Math.min(name.left, name.top)).toBeGreaterThanOrEqual(0);
        expect(name.right).toBeLessThanOrEqual(size.width);
        expect(name.bottom).toBeLessThanOrEqual(size.height);
        for (const one of marks) {
          const isOn =
            name.left < one.x + one.width / 2 &&
            name.right > one.x - one.width / 2 &&
            name.top < one.y + 14 &&
            name.bottom > one.y - 14;
          expect(isOn).toBe(false);
        }
        for (const other of names)
          if (other.i !== name.i)
            expect(
              name.left < other.right &&
                other.left < name.right &&
                name.top < other.bottom &&
                other.top < name.bottom,
            ).toBe(false);
      }
    }),
  );
});
