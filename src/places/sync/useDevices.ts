import { useEffect, useMemo, useState } from 'react';

import { useHubAnswer } from '@/book/sync';
import type { DevicesStatus, DeviceStatus, ToSettle } from '@/core/sync';
import { nowMs } from '@/platform';

/** The devices as the hub has them; undefined until it has said so. */
export function useDevices(): { readonly value: DevicesStatus | undefined; readonly fault: string } {
  return useHubAnswer('devices', (hub, token) => hub.devices(token));
}

/** One device; null where there is none of that name. */
export function useDevice(name: string): DeviceStatus | null | undefined {
  const { value } = useDevices();
  return value && (value.devices.find((device) => device.name === name) ?? null);
}

/** Values that two sides have changed differently, and the devices they are of. */
export function useToSettle(): {
  readonly values: readonly ToSettle[];
  /** Whether the hub has said so, or can't. */
  readonly isKnown: boolean;
  readonly devices: ReadonlySet<string>;
} {
  const { value, fault } = useHubAnswer('settle', (hub, token) => hub.toSettle(token));
  return useMemo(() => {
    const values = value ?? [];
    const names = values.flatMap(({ mineBy, theirsBy }) => [mineBy ?? '', theirsBy ?? '']);
    return { values, devices: new Set(names.filter(Boolean)), isKnown: value !== undefined || fault !== '' };
  }, [value, fault]);
}

/** How often "now" moves on, in milliseconds. */
const TICK_MS = 30_000;

/** This moment, in milliseconds since 1970; moves on now and then. */
export function useNow(): number {
  const [now, setNow] = useState(nowMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
