import type { HubAccess } from '@/book/clients';
import { changeSettings } from '@/book/commit';
import {
  type AppThunk,
  defaultSettings,
  selectSettings,
  type Services,
  type Settings,
  settingsSchema,
} from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { isObject } from '@/core/base';
import type { SharedRecord } from '@/core/sync';

/** Settings of this device, not of the book. */
const OWN: ReadonlySet<keyof Settings> = new Set([
  ...([
    'scheme',
    'typeScale',
    'singleKeys',
    'notifies',
    'notifiedOn',
    'lastBackupAt',
    'backupRemindedAt',
  ] as const),
  ...(['table', 'recentActs', 'tableColumns', 'historyYears', 'historyMegabytes'] as const),
]);

type Pushed = Readonly<Record<string, unknown>>;

/** A new pairing: nothing is known about the hub's settings yet. */
export function beginSettings(): AppThunk<Promise<void>> {
  return (_, __, services) => keepPushed(services, {});
}

/**
 * Pushes settings that differ from the hub's; of unknown ones, those that were ever set.
 *
 * @param areAll - every one, whatever the hub has
 */
export function pushSettings(at: HubAccess, since: number, areAll = false): AppThunk<Promise<void>> {
  return async (_, getState, services) => {
    const settings = selectSettings(getState());
    const pushed = await readPushed(services);
    const records = (Object.keys(settings) as (keyof Settings)[]).flatMap((key): SharedRecord[] => {
      const known = Object.hasOwn(pushed, key) ? pushed[key] : defaultSettings[key];
      if (OWN.has(key) || (!areAll && isSame(settings[key], known))) return [];
      return [{ kind: 'setting', id: key, value: settings[key] }];
    });
    if (records.length === 0) return;
    await services.hub.putRecords(at, { since, records, gone: [] });
    await keepPushed(services, {
      ...pushed,
      ...Object.fromEntries(records.map(({ id, value }) => [id, value])),
    });
  };
}

/** Applies settings that were changed in another browser. */
export function applyPulledSettings(records: readonly SharedRecord[]): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const known = records.filter(
      ({ id }) => Object.hasOwn(defaultSettings, id) && !OWN.has(id as keyof Settings),
    );
    if (known.length === 0) return;
    const pulled = Object.fromEntries(known.map(({ id, value }) => [id, value]));
    const now = selectSettings(getState());
    // What is damaged falls back to what is set here.
    const next = settingsSchema.parse({ ...now, ...pulled });
    const some = Object.fromEntries(
      Object.entries(next).filter(([key]) => Object.hasOwn(pulled, key)),
    ) as Partial<Settings>;
    if (!isSame({ ...now, ...some }, now)) dispatch(changeSettings(some));
    await keepPushed(services, { ...(await readPushed(services)), ...some });
  };
}

async function readPushed({ storage }: Services): Promise<Pushed> {
  const pushed = parseJson(await storage.getItem(KEYS.pushedSettings));
  return isObject(pushed) ? pushed : {};
}

function keepPushed({ storage }: Services, pushed: Pushed): Promise<void> {
  return storage.setMany({ [KEYS.pushedSettings]: JSON.stringify(pushed) });
}

function isSame(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
