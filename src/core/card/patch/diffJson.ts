import { isObject, isSameJson, type JsonObject, ownProperty } from '@/core/base';

/**
 * One place at which two versions of a card differ. Read forwards it puts `after` there, backwards `before`;
 * undefined means that there is nothing at that place.
 */
export interface Edit {
  readonly path: readonly string[];
  readonly before?: unknown;
  readonly after?: unknown;
}

/**
 * The edits that lead from one JSON object to another, each at the deepest place that differs. Arrays count as one
 * value, since their items have no names. An object that comes or goes is one edit.
 */
export function diffJson(before: unknown, after: unknown, path: readonly string[] = []): Edit[] {
  if (isSameJson(before, after)) return [];
  // An empty object is a value: taken apart, its removal and that of its last part would look alike.
  if (!hasParts(before) || !hasParts(after)) return [editOf(path, before, after)];
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key) =>
    diffJson(ownProperty(before, key), ownProperty(after, key), [...path, key]),
  );
}

/**
 * The edits that lead from one card (or talk) to another. A collection that comes or goes is an edit for each of its
 * entries, so that whoever else adds one to it loses none.
 */
export function diffCards(before: object, after: object): Edit[] {
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key) => {
    const [was, is] = [ownProperty(before as JsonObject, key), ownProperty(after as JsonObject, key)];
    const whole = was === undefined ? is : is === undefined ? was : undefined;
    if (!hasParts(whole)) return diffJson(was, is, [key]);
    return Object.keys(whole).map((part) =>
      is === undefined
        ? editOf([key, part], whole[part], undefined)
        : editOf([key, part], undefined, whole[part]),
    );
  });
}

/** An object with a property called __proto__, which no path may lead to, is one value as well. */
function hasParts(value: unknown): value is JsonObject {
  return isObject(value) && Object.keys(value).length > 0 && !Object.hasOwn(value, '__proto__');
}

function editOf(path: readonly string[], before: unknown, after: unknown): Edit {
  return {
    path,
    ...(before === undefined ? {} : { before }),
    ...(after === undefined ? {} : { after }),
  };
}
