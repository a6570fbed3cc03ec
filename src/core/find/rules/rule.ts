import { z } from 'zod';

import { texts } from '@/texts/find/rules';

import { DAY_KINDS, DOC_KINDS, FIELDS, TALK_WAYS } from './fields';

/** Reverses the test. */
const not = z.boolean().exactOptional();

const year = z.number().int().min(0).max(9999);
const age = z.number().int().min(0).max(200);

/** One thing that is true of a card or not. */
const testSchema = z.discriminatedUnion('kind', [
  /** All words of `value` begin words of the field. */
  z.object({ kind: z.literal('words'), field: z.enum([...FIELDS, 'any']), value: z.string(), not }),
  /** The field says something. */
  z.object({ kind: z.literal('filled'), field: z.enum([...FIELDS, ...DAY_KINDS]), not }),
  z.object({ kind: z.literal('card'), card: z.enum(DOC_KINDS), not }),
  /** On a list, itself or through a list on it. */
  z.object({ kind: z.literal('list'), list: z.string(), not }),
  z.object({ kind: z.literal('flag'), flag: z.enum(['pinned', 'archived', 'private']), not }),
  /** An address lies within so many kilometres of a place, which is a town's name or a card's. */
  z.object({ kind: z.literal('near'), place: z.string(), km: z.number().positive().max(20_100), not }),
  /** Added to the book, or changed, within so many days. */
  z.object({
    kind: z.literal('since'),
    what: z.enum(['added', 'changed']),
    days: z.number().int().min(0),
    /** And none of these days: "last month" ended some days ago. */
    until: z.number().int().min(0).exactOptional(),
    not,
  }),
  /** There was a talk within so many days, or this calendar year: any, face to face, by voice, or in writing. */
  z.object({
    kind: z.literal('talk'),
    how: z.enum(TALK_WAYS),
    days: z.union([z.number().int().min(0), z.literal('year'), z.literal('ever')]),
    /** And none of these days: "last week" ended some days ago. */
    until: z.number().int().min(0).exactOptional(),
    not,
  }),
  /** Closeness of so much and more, 0 to 100. */
  z.object({ kind: z.literal('close'), from: z.number().int().min(1).max(100), not }),
  /** A day of this kind comes round within so many days. */
  z.object({
    kind: z.literal('coming'),
    day: z.enum(DAY_KINDS),
    days: z.number().int().min(0).max(366),
    /** And not in fewer days than these: "next week" begins some days on. */
    from: z.number().int().min(0).max(366).exactOptional(),
    not,
  }),
  /** A day of this kind lies in a month, 1 to 12. */
  z.object({ kind: z.literal('month'), day: z.enum(DAY_KINDS), month: z.number().int().min(1).max(12), not }),
  /** Born in these years; a card that doesn't say is neither in nor out. */
  z.object({ kind: z.literal('born'), from: year.exactOptional(), to: year.exactOptional(), not }),
  /** So old today. */
  z.object({ kind: z.literal('age'), from: age.exactOptional(), to: age.exactOptional(), not }),
  /** Reaches an age in this calendar year. */
  z.object({ kind: z.literal('turning'), age, not }),
  /** The next talk falls within so many days; −1: it should have been before today. */
  z.object({ kind: z.literal('due'), days: z.number().int().min(-1), not }),
]);

/** One thing that is true of a card or not. */
export type Test = z.infer<typeof testSchema>;

/** Several of them together: all, at least one, or none has to be true. Without any, 'all' and 'none' are true. */
export interface Group {
  readonly kind: 'all' | 'any' | 'none';
  readonly rules: readonly Rule[];
}

/** What decides who is on a list that fills itself. */
export type Rule = Test | Group;

/** The deepest nesting of rules that is accepted; deeper ones are hostile. */
const MAX_DEPTH = 12;

/** A rule as it is stored. */
export const ruleSchema: z.ZodType<Rule> = z
  .lazy(() =>
    z.union([testSchema, z.object({ kind: z.enum(['all', 'any', 'none']), rules: z.array(ruleSchema) })]),
  )
  .refine((rule) => depthOf(rule) <= MAX_DEPTH, texts.tooDeep(MAX_DEPTH));

function depthOf(rule: Rule): number {
  return isGroup(rule) ? 1 + Math.max(0, ...rule.rules.map(depthOf)) : 0;
}

/** Whether a rule is made of others. */
export function isGroup(rule: Rule): rule is Group {
  return rule.kind === 'all' || rule.kind === 'any' || rule.kind === 'none';
}

/** Reads a rule from outside; undefined for anything else. */
export function parseRule(value: unknown): Rule | undefined {
  return ruleSchema.safeParse(value).data;
}

/** Whether a rule asks where cards are. */
export function asksForPlaces(rule: Rule): boolean {
  return isGroup(rule) ? rule.rules.some(asksForPlaces) : rule.kind === 'near';
}

/** The lists that a rule speaks of. */
export function listsOfRule(rule: Rule): string[] {
  if (isGroup(rule)) return rule.rules.flatMap(listsOfRule);
  return rule.kind === 'list' ? [rule.list] : [];
}
