import { emptyDocument, keyOf, TABLES, type Body, type GarageDocument, type Request, type Row } from '@necessaire/core';
import { SyncServer } from '../../../core/src/testing/syncServer';

/** What becomes of a request on its way. */
export type Way = 'arrives' | 'is lost' | 'reply is lost' | 'server is ill' | 'a stranger answers';

const servers = new Map<string, FakeServer>();
/** The browser’s own `fetch`: to the garage that the path names, else to the last one made. */
export const fetchFrom = (path: string, init?: { method?: string; body?: string }): Promise<Response> => {
  const id = /garages\/([^/]+)/u.exec(path)?.[1];
  const server = (id && servers.get(id)) || [...servers.values()].at(-1)!;
  return server.fetch(path, init);
};

/** One garage behind `fetch`: the protocol's own server in memory, on a way that loses what the test says. */
export class FakeServer {
  readonly sync = new SyncServer();
  /** What becomes of the next requests; the last one for all that follow. */
  ways: Way[] = ['arrives'];
  /** Requests that arrived, by their path. */
  readonly seen: string[] = [];

  constructor(
    readonly id: string,
    start: GarageDocument = emptyDocument({ name: 'Mine' }),
  ) {
    servers.set(id, this);
    this.write('garage', id, start.garage as unknown as Body);
    for (const table of TABLES)
      for (const row of start[table] as Row[]) this.write(table, row.id, row as unknown as Body);
  }
  private write(table: 'garage' | (typeof TABLES)[number], id: string, row: Body) {
    this.sync.rows.set(keyOf({ table, id }), { revision: 1, row, deleted: false, edition: 0, change: { table, id } });
  }
  /** Rows of a table as they are now, in the order in which they were made. */
  rows(table: (typeof TABLES)[number]): Body[] {
    return [...this.sync.rows.values()].filter((r) => r.change.table === table && !r.deleted).map((r) => r.row);
  }
  private own() {
    return this.sync.rows.get(keyOf({ table: 'garage', id: this.id }))!;
  }
  private answer(method: string, path: string, body: unknown): unknown {
    const own = this.own();
    const record = { id: this.id, revision: own.revision, garage: own.row, deleted: false };
    if (path === '/api/garages') return { garages: [record] };
    if (path === `/api/garages/${this.id}/edits` && method === 'POST') return this.sync.exchange(body as Request);
    if (path !== `/api/garages/${this.id}`) return null;
    const rows = Object.fromEntries(TABLES.map((t) => [t, this.rows(t)]));
    const revisions = Object.fromEntries(
      TABLES.map((t) => [
        t,
        Object.fromEntries(
          [...this.sync.rows.values()]
            .filter((r) => r.change.table === t && !r.deleted)
            .map((r) => [r.change.id, r.revision]),
        ),
      ]),
    );
    return { ...record, document: { garage: own.row, ...rows }, revisions, edition: this.sync.edition };
  }
  /** Takes the place of the browser's own. */
  readonly fetch = (path: string, init: { method?: string; body?: string } = {}): Promise<Response> => {
    const way = (this.ways.length > 1 ? this.ways.shift() : this.ways[0])!;
    if (way === 'is lost') return Promise.reject(new TypeError('no network'));
    if (way === 'server is ill') return Promise.resolve(new Response('out of order', { status: 503 }));
    if (way === 'a stranger answers') return Promise.resolve(new Response('<h1>Sign in</h1>', { status: 200 }));
    this.seen.push(path);
    const body: unknown = init.body === undefined ? undefined : JSON.parse(init.body);
    const said = structuredClone(this.answer(init.method ?? 'GET', path, body));
    if (way === 'reply is lost') return Promise.reject(new TypeError('no network'));
    return Promise.resolve(
      said === null
        ? new Response(JSON.stringify({ error: { code: 'gone', path: '', message: 'is not there' } }), { status: 404 })
        : new Response(JSON.stringify(said), { status: 200 }),
    );
  };
}
