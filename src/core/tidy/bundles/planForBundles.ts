import type { Uid } from '@/core/card';
import type { TodayPlan } from '@/core/talks';

/** Of what is said of several cards of a bundle once only; what is said of the card that stands for them goes first. */
export function onePerBundle<T extends { readonly uid: Uid }>(
  items: readonly T[],
  leadOf: (uid: Uid) => Uid | undefined,
  keyOf: (item: T) => string = () => '',
): T[] {
  const nameOf = (item: T) => `${leadOf(item.uid) ?? item.uid} ${keyOf(item)}`;
  const led = new Set(items.filter(({ uid }) => leadOf(uid) === undefined).map(nameOf));
  const seen = new Set<string>();
  return items.filter((item) => {
    if (leadOf(item.uid) === undefined) return true;
    const name = nameOf(item);
    if (led.has(name) || seen.has(name)) return false;
    seen.add(name);
    return true;
  });
}

/**
 * The day's plan with each person once. Who has gone quiet is asked of the card that stands for the others only, as they
 * hear of talks with it.
 */
export function planForBundles(plan: TodayPlan, leadOf: (uid: Uid) => Uid | undefined): TodayPlan {
  const dayKey = ({ kind, date }: TodayPlan['coming'][number]) => `${kind} ${date}`;
  const day = ({ day: at }: { readonly day: string }) => at;
  return {
    ...plan,
    greetings: onePerBundle(plan.greetings, leadOf, dayKey),
    remembered: onePerBundle(plan.remembered, leadOf, dayKey),
    coming: onePerBundle(plan.coming, leadOf, dayKey),
    due: onePerBundle(plan.due, leadOf),
    late: onePerBundle(plan.late, leadOf),
    comingDue: onePerBundle(plan.comingDue, leadOf, day),
    quiet: plan.quiet.filter(({ uid }) => leadOf(uid) === undefined),
  };
}
