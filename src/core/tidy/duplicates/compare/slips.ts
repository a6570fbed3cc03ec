/** Whether one sign left out, put in, swapped with its neighbour or another one makes one word of the other. */
export function isOneSlipApart(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1) return false;
  let head = 0;
  while (head < a.length && head < b.length && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < a.length - head && tail < b.length - head && a.at(-1 - tail) === b.at(-1 - tail)) tail += 1;
  const [left, right] = [a.slice(head, a.length - tail), b.slice(head, b.length - tail)];
  if (left.length <= 1 && right.length <= 1) return true;
  return left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0];
}
