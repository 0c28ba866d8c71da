import { long } from '../../testing/long.js';
import fc from 'fast-check';
import { expect } from '@jest/globals';
import { SyncServer } from '../../testing/syncServer.js';
import { uuid } from '../../testing/make.js';
import {
  changeOf,
  Rejected,
  Session,
  Unreached,
  type Body,
  type Entry,
  type Known,
  type Reply,
  type Request,
} from './index.js';

/** Schedules in one run; more by hand: NECESSAIRE_SCHEDULES=20000 */
const RUNS = Number(process.env['NECESSAIRE_SCHEDULES'] ?? 500);
const TABLE = 'supplies' as const;
const ROWS = [1, 2, 3].map(uuid);
const FIELDS = ['quantity', 'note'] as const;
const settled = () => new Promise<void>((resolve) => setImmediate(resolve));

interface Flight {
  page: Page;
  request: Request;
  reply: Reply | Rejected | null;
  resolve: (r: Reply) => void;
  reject: (e: Error) => void;
}
/** One browser: its pages share an outbox and take turns. */
class Browser {
  entries: Entry[] = [];
  full = false;
  holder: Page | null = null;
  queue: (() => void)[] = [];
  release() {
    this.holder = null;
    this.queue.shift()?.();
  }
}
class Page {
  dead = false;
  session!: Session;
  waits: (() => void)[] = [];
  /** Every value that ever stood on this page's screen, by row and field. */
  seen = new Set<string>();
  constructor(readonly browser: Browser) {}
}
/** What had stood on a page when its rider last answered. */
const seenAtAnswer = new WeakMap<Page, ReadonlySet<string>>();
const never = new Promise<never>(() => {});
const shownOn = (page: Page, id: string) => page.session.shown([{ table: TABLE, id }]).get(`${TABLE} ${id}`) ?? null;
const seenKey = (id: string, field: string, value: unknown) => `${id} ${field} ${JSON.stringify(value)}`;

/** Some devices, their pages, one server, and a network that loses, delays, doubles and reorders. */
class World {
  private next = 100;
  readonly flights: Flight[] = [];
  /** Requests that were given up but may still arrive. */
  readonly ghosts: Request[] = [];
  readonly pages: Page[] = [];
  readonly permits = new Map<string, ReadonlySet<string>>();
  /** Edits that a browser's store, or the server, ever held. */
  readonly durable = new Set<string>();
  readonly answeredIds = new Set<string>();
  readonly written = new Map<string, number>();
  readonly complaints: string[] = [];
  readonly server = new SyncServer(
    (edit, change, before) => {
      if (edit.label === 'first') return;
      const live = before && !before.deleted ? before.row : null;
      const over =
        change.kind === 'set'
          ? change.fields.map((f) => [f.field, live?.[f.field]] as const)
          : live
            ? FIELDS.map((f) => [f, live[f]] as const)
            : [];
      const may = this.permits.get(edit.id);
      for (const [field, value] of over)
        if (!may?.has(seenKey(change.id, field, value)))
          this.complaints.push(`${edit.id} wrote over ${field}=${String(value)} that its page had never shown`);
      const n = change.kind === 'set' ? change.fields.map((f) => String(f.now)).join() : change.kind;
      const key = `${edit.id} ${change.id} ${n}`;
      this.written.set(key, (this.written.get(key) ?? 0) + 1);
    },
    (edit) =>
      JSON.stringify(edit.changes).includes('"refuse me') ? { code: 'invalid', path: 'note', message: 'no' } : null,
  );

  constructor(browsers: number, pagesEach: number) {
    ROWS.slice(0, 2).forEach((id, i) =>
      this.server.exchange({
        since: null,
        edits: [
          {
            id: uuid(50 + i),
            label: 'first',
            changes: [{ kind: 'make', table: TABLE, id, row: { id, quantity: 0, note: '' } }],
          },
        ],
      }),
    );
    for (let b = 0; b < browsers; b++) {
      const browser = new Browser();
      for (let p = 0; p < pagesEach; p++) this.open(browser);
    }
  }
  private id = () => uuid(this.next++);

  open(browser: Browser) {
    const page = new Page(browser);
    const all = this.server.exchange({ since: 0, edits: [] });
    const known: Known = {
      edition: all.edition,
      rows: new Map(all.news.map((n) => [`${n.table} ${n.id}`, { revision: n.revision, row: n.row }])),
    };
    page.session = new Session(
      known,
      {
        exchange: (request) =>
          page.dead
            ? never
            : new Promise((resolve, reject) =>
                this.flights.push({ page, request: structuredClone(request), reply: null, resolve, reject }),
              ),
        outbox: {
          read: async () => (page.dead ? never : structuredClone(browser.entries)),
          change: async (f) => {
            if (page.dead) return never;
            if (browser.full) throw new Error('full');
            browser.entries = structuredClone(f(structuredClone(browser.entries)));
            for (const e of browser.entries) this.durable.add(e.edit.id);
            return structuredClone(browser.entries);
          },
        },
        alone: async (work) => {
          if (browser.holder) await new Promise<void>((resolve) => browser.queue.push(resolve));
          if (page.dead) {
            browser.release();
            return never;
          }
          browser.holder = page;
          await work();
          if (browser.holder === page) browser.release();
        },
        tell: (edition) => {
          for (const other of this.pages)
            if (other !== page && other.browser === browser && !other.dead) {
              void other.session.reread();
              void other.session.hear(edition);
            }
        },
        wait: () => new Promise((resolve) => page.waits.push(resolve)),
        // An answer may write over what its page had shown when it was given.
        nextId: () => {
          const id = this.id();
          this.permits.set(id, seenAtAnswer.get(page) ?? new Set());
          return id;
        },
      },
      () => this.look(page),
    );
    this.pages.push(page);
    this.look(page);
    void page.session.start();
    return page;
  }
  private look(page: Page) {
    if (page.dead || !page.session) return;
    for (const id of ROWS) {
      const row = shownOn(page, id);
      if (row) for (const f of FIELDS) page.seen.add(seenKey(id, f, row[f]));
    }
    for (const q of page.session.questions)
      if (q.theirs) for (const f of FIELDS) page.seen.add(seenKey(q.id, f, q.theirs[f]));
  }
  /** A page is gone in the middle of whatever it did. */
  kill(page: Page) {
    page.dead = true;
    page.session.close();
    this.pages.splice(this.pages.indexOf(page), 1);
    for (const f of this.flights.filter((x) => x.page === page)) {
      if (!f.reply) this.ghosts.push(f.request);
      this.flights.splice(this.flights.indexOf(f), 1);
    }
    if (page.browser.holder === page) page.browser.release();
  }

  private edit(page: Page, changes: { id: string; before: Body | null; after: Body | null }[]) {
    const { session } = page;
    const made = changes.flatMap(({ id, before, after }) => {
      const c = changeOf(TABLE, id, before, after, session.bases([{ table: TABLE, id }]).get(`${TABLE} ${id}`)!);
      return c ? [c] : [];
    });
    if (made.length === 0) return;
    const id = this.id();
    this.permits.set(id, new Set(page.seen));
    session.add({ id, label: 'an edit', changes: made });
  }
  private atServer(request: Request): Reply | Rejected {
    if (JSON.stringify(request.edits).includes('"poison'))
      return new Rejected({ code: 'too-large', path: '', message: 'x' });
    return this.server.exchange(request);
  }

  /** One step of a schedule, whatever the numbers. */
  step([op, a, b, c]: readonly [number, number, number, number]) {
    const page = this.pages[a % this.pages.length]!;
    const flight = this.flights[b % Math.max(1, this.flights.length)];
    const row = (n: number) => shownOn(page, ROWS[n % ROWS.length]!);
    const value = this.next++;
    const special = c % 11 === 7 ? 'refuse me' : c % 13 === 5 ? 'poison' : 'note';
    switch (op % 16) {
      case 0:
      case 1:
      case 2: {
        const before = row(b);
        if (!before) break;
        const field = FIELDS[c % 2]!;
        this.edit(page, [
          {
            id: String(before['id']),
            before,
            after: { ...before, [field]: field === 'note' ? `${special} ${value}` : value },
          },
        ]);
        break;
      }
      case 3: {
        const both = [0, 1].map((n) => row(n)).filter((r) => r !== null);
        this.edit(
          page,
          both.map((before) => ({ id: String(before['id']), before, after: { ...before, quantity: value } })),
        );
        break;
      }
      case 4: {
        const before = row(b);
        const id = ROWS[b % ROWS.length]!;
        this.edit(page, [
          { id, before, after: before && c % 3 === 0 ? null : { id, quantity: value, note: `n ${value}` } },
        ]);
        break;
      }
      case 5:
      case 6:
        if (flight && !flight.reply) flight.reply = this.atServer(flight.request);
        break;
      case 7:
      case 8:
        if (flight?.reply) this.land(flight);
        break;
      case 9:
        if (flight) {
          if (!flight.reply) this.ghosts.push(flight.request);
          this.flights.splice(this.flights.indexOf(flight), 1);
          flight.reject(new Unreached('lost'));
        }
        break;
      case 10: {
        const ghost = this.ghosts[b % Math.max(1, this.ghosts.length)];
        if (ghost) this.atServer(ghost);
        break;
      }
      case 11:
        this.kill(page);
        this.open(page.browser);
        break;
      case 12:
        page.browser.full = c % 2 === 0;
        break;
      case 13: {
        const waits = page.waits.splice(0);
        for (const go of waits) go();
        break;
      }
      case 14:
        void page.session.hear(this.server.edition);
        break;
      case 15:
        if (c % 2 === 0) this.answer(page, c % 4 === 0 ? 'mine' : 'theirs');
        else if (flight && !flight.reply) this.ghosts.push(structuredClone(flight.request));
        break;
    }
  }
  private land(flight: Flight) {
    this.flights.splice(this.flights.indexOf(flight), 1);
    const { reply } = flight;
    if (reply instanceof Rejected) flight.reject(reply);
    else flight.resolve(reply!);
  }
  private answer(page: Page, keep: 'mine' | 'theirs') {
    const [q] = page.session.questions;
    if (!q) return;
    this.look(page);
    // The rest of an edit goes on with what its own maker had seen.
    const makers = page.session.entries.flatMap((e) =>
      e.state === 'asked' ? [...(this.permits.get(e.edit.id) ?? [])] : [],
    );
    seenAtAnswer.set(page, new Set([...page.seen, ...makers]));
    void page.session.answer(q, keep);
    for (const e of page.session.entries)
      if (e.state === 'asked' && e.edit.changes.some((c) => c.id === q.id)) this.answeredIds.add(e.edit.id);
  }
  /** The network is well again, and the riders answer what they are asked, until nothing moves any more. */
  async heal() {
    for (const p of this.pages) p.browser.full = false;
    for (let quiet = 0, round = 0; quiet < 3; round++) {
      if (round > 300) throw new Error('it never comes to rest');
      let moved = false;
      for (const f of [...this.flights]) {
        f.reply ??= this.atServer(f.request);
        this.land(f);
        moved = true;
      }
      await settled();
      for (const p of this.pages) {
        for (const go of p.waits.splice(0)) {
          go();
          moved = true;
        }
        void p.session.hear(this.server.edition);
        void p.session.reread();
      }
      await settled();
      for (const p of this.pages)
        if (p.session.questions.length > 0) {
          this.answer(p, round % 2 ? 'mine' : 'theirs');
          moved = true;
          await settled();
        }
      for (const p of this.pages) void p.session.push();
      await settled();
      quiet = moved || this.flights.length > 0 ? 0 : quiet + 1;
    }
  }
}

long(
  'no edit is lost, applied twice, blocks another or overwrites what its rider never saw, whatever happens on the way',
  async () => {
    const number = fc.nat(1000);
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1, max: 2 }),
        fc.array(fc.tuple(number, number, number, number), { minLength: 5, maxLength: 60 }),
        async (browsers, pagesEach, steps) => {
          const world = new World(browsers, pagesEach);
          await settled();
          for (const step of steps) {
            world.step(step);
            await settled();
          }
          await world.heal();
          expect(world.complaints).toEqual([]);
          for (const [what, times] of world.written) expect(`${what}: ${times}`).toBe(`${what}: 1`);
          // Whatever a browser once held was judged at the server, or decided by its rider, or lies in the tray for all to see.
          const tray = new Set(world.pages.flatMap((p) => p.session.entries.map((e) => e.edit.id)));
          for (const id of world.durable)
            if (!world.answeredIds.has(id) && !tray.has(id))
              expect([id, world.server.log.get(id)?.is]).toEqual([id, 'done']);
          for (const p of world.pages) {
            // What is left is refused for what it is, and holds up nothing.
            expect(p.session.entries.filter((e) => e.state !== 'refused')).toEqual([]);
            expect(p.session.standing).toEqual({ unsent: 0, trouble: null, stored: true, writing: false });
            for (const id of ROWS) {
              const at = world.server.rows.get(`${TABLE} ${id}`);
              expect(shownOn(p, id)).toEqual(at && !at.deleted ? at.row : null);
            }
          }
        },
      ),
      { numRuns: RUNS },
    );
  },
  600_000,
);
