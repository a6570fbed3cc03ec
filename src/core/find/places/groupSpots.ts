import type { Spot } from './locate';

/** Everybody at one place. */
export interface SpotGroup<T> {
  readonly spot: Spot;
  readonly members: readonly T[];
}

/** Groups what stands at the very same point; the largest group first. */
export function groupSpots<T extends { readonly spot: Spot }>(located: readonly T[]): SpotGroup<T>[] {
  const groups = new Map<string, { spot: Spot; members: T[] }>();
  for (const one of located) {
    const { lat, lon, by } = one.spot;
    // Whoever is known by country only stands apart from those who do live in its capital.
    const key = `${lat} ${lon} ${by === 'country'}`;
    const group = groups.get(key);
    if (group) group.members.push(one);
    else groups.set(key, { spot: one.spot, members: [one] });
  }
  return [...groups.values()].sort((a, b) => b.members.length - a.members.length);
}

/** A group on the page, in pixels. */
export interface Placed<G> {
  readonly group: G;
  readonly x: number;
  readonly y: number;
}

/** Groups that would lie over each other, drawn as one where the largest of them is. */
export interface Cluster<G> {
  readonly x: number;
  readonly y: number;
  readonly groups: readonly G[];
}

/**
 * Joins groups that are nearer to each other than a finger is wide. Each goes to the first cluster that is near enough,
 * so the largest have to come first.
 *
 * @param apart - in pixels, across and down
 */
export function clusterGroups<G>(placed: readonly Placed<G>[], apart: number): Cluster<G>[] {
  const clusters: { x: number; y: number; groups: G[] }[] = [];
  for (const { group, x, y } of placed) {
    const near = clusters.find((one) => Math.abs(one.x - x) < apart && Math.abs(one.y - y) < apart);
    if (near) near.groups.push(group);
    else clusters.push({ x, y, groups: [group] });
  }
  return clusters;
}
