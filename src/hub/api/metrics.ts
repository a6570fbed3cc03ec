import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

import { engineOf, type HubDb, waitingFor } from '@/hub/store';

/** Rows that tell how much a store holds. */
const COUNTED = ['cards', 'changes', 'devices', 'browsers', 'records', 'settle'] as const;
/** Bounds of how long answers take, in seconds. */
const BOUNDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 15, 60];

/** What a hub measures of itself, in the format of Prometheus: routes, numbers and sizes, and nothing of anybody. */
export class Metrics {
  private readonly registry = new Registry();
  private readonly requests = new Histogram({
    name: 'cordialis_request_seconds',
    help: 'How long answers took, by the route as the hub writes it',
    labelNames: ['route', 'status'],
    buckets: BOUNDS,
    registers: [this.registry],
  });
  private readonly visits = new Counter({
    name: 'cordialis_visits_total',
    help: 'Visits of servers and simulated devices, by how they ended',
    labelNames: ['ended'],
    registers: [this.registry],
  });

  constructor(db: HubDb) {
    const registers = [this.registry];
    collectDefaultMetrics({ register: this.registry });
    new Gauge({
      ...{ name: 'cordialis_waiting_writes', help: 'Transactions that wait for their turn', registers },
      collect() {
        this.set(waitingFor(db));
      },
    });
    new Gauge({
      ...{ name: 'cordialis_rows', help: 'How much the store holds', labelNames: ['table'], registers },
      async collect() {
        for (const table of COUNTED) {
          const { count } = await db
            .selectFrom(table)
            .select(({ fn }) => fn.countAll<number>().as('count'))
            .executeTakeFirstOrThrow();
          this.set({ table }, Number(count));
        }
      },
    });
    new Gauge({
      ...{ name: 'cordialis_store_bytes', help: 'How large the store is', registers },
      async collect() {
        this.set(await engineOf(db).octets());
      },
    });
  }

  /** Notes an answer. @param ms - how long it took */
  answered(route: string, status: number, ms: number): void {
    this.requests.observe({ route, status: String(status) }, ms / 1000);
  }

  /** Notes a visit. */
  visited(hasFailed: boolean): void {
    this.visits.inc({ ended: hasFailed ? 'fault' : 'well' });
  }

  /** The text for whoever collects it, and its type. */
  async read(): Promise<{ readonly type: string; readonly text: string }> {
    return { type: this.registry.contentType, text: await this.registry.metrics() };
  }
}
