import { isObject, isSameJson } from '@/core/base';
import type { TextStorage } from '@/platform';

import { KEYS } from './keys';
import { mergePending, PendingMap } from './pending';
import { parseJson } from './readCards';

/** Settings to be written, and what to note once they are. */
export interface SettingsBatch {
  readonly records: Readonly<Record<string, string>>;
  /** @returns settings to be shown where another page has changed some as well */
  readonly wrote: () => object | undefined;
}

/**
 * Settings that wait to be written. Setting by setting they go on top of what another page has written; all of them
 * together are never put over those.
 */
export class PendingSettings {
  private readonly pending = new PendingMap<object>();

  get isWaiting(): boolean {
    return this.pending.size > 0;
  }

  /** @param before - as this page had them; they may not be in the store yet */
  put(before: object, after: object): void {
    this.pending.put(KEYS.settings, before, after);
  }

  /** Notes what the store has. @returns what is to be shown */
  arrived(stored: object): object {
    return this.pending.arrived(KEYS.settings, stored) ?? stored;
  }

  /** What is to be written now, while nobody else writes. */
  async prepare(storage: TextStorage): Promise<SettingsBatch> {
    const entry = this.pending.get(KEYS.settings);
    if (!entry) return { records: {}, wrote: () => undefined };
    // Those that can't be read have been set aside when the book was opened.
    const theirs = parseJson(await storage.getItem(KEYS.settings));
    const merged = mergePending<object>(entry, isObject(theirs) ? theirs : undefined) ?? {};
    return {
      records: { [KEYS.settings]: JSON.stringify(merged) },
      wrote: () => {
        const { isNew, shown } = this.pending.wrote(KEYS.settings, entry, merged);
        return isNew && shown && !isSameJson(shown, entry.mine) ? shown : undefined;
      },
    };
  }
}
