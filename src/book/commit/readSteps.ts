import { parseStep, type Step } from '@/book/history';
import type { Services } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { inBatches } from '@/core/base';

/** Steps read at once. */
const AT_ONCE = 500;

/** The text of a record, as it is stored or waits to be. */
export async function readText({ writer, storage }: Services, key: string): Promise<string | null> {
  return writer.waitingText(key) ?? storage.getItem(key);
}

/** A step as it is now; undefined where it is gone or damaged. */
export async function readStep(services: Services, id: string): Promise<Step | undefined> {
  return parseStep(parseJson(await readText(services, `${KEYS.step}${id}`)));
}

/** Steps that are stored, without what they did. */
export interface StoredSteps {
  readonly steps: Step[];
  /** Records that can't be read, with their texts. */
  readonly damaged: (readonly [key: string, text: string])[];
}

/** Reads the steps with these ids. */
export async function readSteps(services: Services, ids: readonly string[]): Promise<StoredSteps> {
  const result: StoredSteps = { steps: [], damaged: [] };
  for (const some of inBatches(ids, AT_ONCE)) {
    const stored = await services.storage.getMany(some.map((id) => `${KEYS.step}${id}`));
    for (const [key, text] of Object.entries(stored)) {
      if (text === null || text === '') continue;
      const step = parseStep(parseJson(text));
      if (step && `${KEYS.step}${step.id}` === key) result.steps.push(step);
      else result.damaged.push([key, text]);
    }
    await services.yieldToPage();
  }
  return result;
}
