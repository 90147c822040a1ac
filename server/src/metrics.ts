import { createServer, type Server } from 'node:http';
import { collectDefaultMetrics, Gauge, Registry } from 'prom-client';
import type { Services } from './context.ts';

/** Figures in the text format of Prometheus, read when they are asked for. They name nobody and no house. */
function metricsOf({ health, timers, hub, ledger }: Pick<Services, 'health' | 'timers' | 'hub' | 'ledger'>): Registry {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const gauge = (name: string, help: string, read: () => number) =>
    new Gauge({
      name,
      help,
      registers: [registry],
      collect() {
        this.set(read());
      },
    });
  gauge('kotiva_streams_open', 'Open live streams.', () => hub.size);
  gauge('kotiva_houses_held', 'Houses held in memory.', () => ledger.held.houses);
  gauge('kotiva_rows_held', 'Rows held in memory.', () => ledger.held.rows);
  gauge('kotiva_storage_full', '1 while nothing can be saved.', () => (health.storage === 'full' ? 1 : 0));
  gauge('kotiva_timer_failures', 'Times a due, a planner or a house failed since the start.', () => timers.setbacks.failures);
  new Gauge({
    name: 'kotiva_set_aside',
    help: 'What was set aside and is tried again later, by kind.',
    labelNames: ['kind'],
    registers: [registry],
    collect() {
      this.reset();
      for (const [kind, many] of Object.entries(timers.setbacks.counts())) this.set({ kind }, many);
    },
  });
  return registry;
}

/** Answers `GET /metrics` on a port of its own, which need not be reachable from outside. */
export function serveMetrics(services: Services, port: number, host: string): Server {
  const registry = metricsOf(services);
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') return void response.writeHead(404).end();
    void registry.metrics().then(
      (text) => response.writeHead(200, { 'content-type': registry.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  });
  server.headersTimeout = 10_000;
  return server.listen(port, host);
}
