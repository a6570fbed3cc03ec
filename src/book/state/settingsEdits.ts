import type { SettingEdit } from '@/book/history';

import type { Settings } from './settingsSlice';

/** What differs between two states of the settings; of tables of settings, entry by entry. */
export function diffSettings(before: Settings, after: Settings): SettingEdit[] {
  return (Object.keys(after) as (keyof Settings)[]).flatMap((key): SettingEdit[] => {
    const [old, now] = [before[key] as unknown, after[key] as unknown];
    if (JSON.stringify(old) === JSON.stringify(now)) return [];
    if (!isTable(key, old) || !isTable(key, now)) return [{ key, before: old, after: now }];
    const entries = new Set([...Object.keys(old), ...Object.keys(now)]);
    return [...entries]
      .filter((entry) => old[entry] !== now[entry])
      .map((entry) => ({ key, entry, before: old[entry], after: now[entry] }));
  });
}

/** The settings after edits, or before them; all others stay. */
export function editedSettings(
  settings: Settings,
  edits: readonly SettingEdit[],
  isBack: boolean,
): Partial<Settings> {
  const some: Record<string, unknown> = {};
  for (const { key, entry, before, after } of edits) {
    const value = isBack ? before : after;
    if (entry === undefined) {
      some[key] = value;
      continue;
    }
    const { [entry]: _, ...others } = (some[key] ?? settings[key as keyof Settings]) as Record<
      string,
      unknown
    >;
    some[key] = value === undefined ? others : { ...others, [entry]: value };
  }
  // Each key has a value that was that setting's before, or is now.
  return some;
}

function isTable(key: keyof Settings, value: unknown): value is Record<string, unknown> {
  return key === 'tagTones' && typeof value === 'object' && value !== null;
}
