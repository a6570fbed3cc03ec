/** A mark on the map, and the name that should stand beside it. */
export interface Labelled {
  /** The middle of the mark, in px of the map. */
  readonly x: number;
  readonly y: number;
  /** px of the mark itself. */
  readonly width: number;
  readonly label: string;
  /** How many are there: the larger ones get their names first. */
  readonly count: number;
}

/** px of the mark's height, and of a line of the small size. */
const MARK = 28;
const LINE = 18;
/** px between a mark and its name. */
const GAP = 4;

/** A rectangle of the map, in px. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Where a name's box begins, from the middle of its mark. */
export interface LabelPlace {
  readonly dx: number;
  readonly dy: number;
}

/**
 * Finds a place for each name, at the right of its mark, the left, under it or over it, where it lies on no mark, on no
 * other name and not over the edge; none where there is no such place.
 *
 * @param blocked - what lies over the map, such as its acts
 * @returns by the places of the marks
 */
export function placeLabels(
  marks: readonly Labelled[],
  { width, height }: { readonly width: number; readonly height: number },
  blocked: readonly Box[] = [],
): (LabelPlace | undefined)[] {
  const taken = [...marks.map(boxOf), ...blocked];
  const places: (LabelPlace | undefined)[] = marks.map(() => undefined);
  const order = marks.map((mark, i) => ({ mark, i })).sort((a, b) => b.mark.count - a.mark.count);
  for (const { mark, i } of order) {
    const long = widthOf(mark.label);
    const side = mark.width / 2 + GAP;
    const tries: readonly LabelPlace[] = [
      { dx: side, dy: -LINE / 2 },
      { dx: -side - long, dy: -LINE / 2 },
      { dx: -long / 2, dy: MARK / 2 },
      { dx: -long / 2, dy: -MARK / 2 - LINE },
    ];
    const found = tries.find((place) => {
      const box = labelBox(mark, place, long);
      const isInside = box.left >= 0 && box.right <= width && box.top >= 0 && box.bottom <= height;
      return isInside && !taken.some((other) => overlaps(other, box));
    });
    if (!found || mark.label === '') continue;
    places[i] = found;
    taken.push(labelBox(mark, found, long));
  }
  return places;
}

/** About what a text takes in the small size, in px: ideographs and the like are square. */
export function widthOf(text: string): number {
  return [...text].reduce(
    (sum, letter) => sum + (/[ᄀ-ᅟ⺀-꓏가-힣豈-﫿︰-﹏＀-｠]/u.test(letter) ? 14 : 7.4),
    0,
  );
}

/** px of a mark with a number in it. */
export function markWidth(count: number): number {
  return Math.max(MARK, String(count).length * 9 + 10);
}

function boxOf({ x, y, width }: Labelled): Box {
  return { left: x - width / 2 - 1, right: x + width / 2 + 1, top: y - MARK / 2, bottom: y + MARK / 2 };
}

function labelBox({ x, y }: Labelled, { dx, dy }: LabelPlace, long: number): Box {
  return { left: x + dx, right: x + dx + long, top: y + dy, bottom: y + dy + LINE };
}

function overlaps(a: Box, b: Box): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}
