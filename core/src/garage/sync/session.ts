import { at } from '../../ground/numbers.js';
import type { Fault } from '../../ground/faults.js';
import { keyOf, type Edit, type Where } from './change.js';
import { MOST_CHANGES, MOST_EDITS, type EditOutcome, type Reply, type Request } from './exchange.js';
import {
  absorb,
  withAnswer,
  bases,
  judged,
  questions,
  shownRows,
  type ClashQuestion,
  type Entry,
  type Known,
} from './outbox.js';

/** A row by its table and id. */
export type RowAt = { table: Where; id: string };

/** The server was not reached, or did not answer as it should: the same is sent again later. */
export class Unreached extends Error {}
/** The server will not take the request for what it is: sending it again as it is would not help. */
export class Rejected extends Error {
  constructor(readonly fault: Fault) {
    super(fault.message);
  }
}

/** Where the outbox lies: shared by all pages of this browser, kept over reloads. */
export interface OutboxStore {
  read(): Promise<Entry[]>;
  /** Changes the outbox in one transaction, so that no page writes over another's. @throws when the browser does not keep it */
  change(f: (entries: Entry[]) => Entry[]): Promise<Entry[]>;
}

/** All that a session needs of the world. */
export interface Ports {
  /** @throws Unreached, Rejected */
  exchange(request: Request): Promise<Reply>;
  outbox: OutboxStore;
  /** Runs one piece of work at a time over all pages of this browser. */
  alone(work: () => Promise<void>): Promise<void>;
  /** Lets the other pages of this browser know that the outbox changed and which edition the garage has reached. */
  tell(edition: number): void;
  /** Resolves after that many milliseconds, or sooner when there is reason to try again. */
  wait(ms: number): Promise<void>;
  nextId(): string;
}

/** How the way to the server stands, for the frame to say. */
export interface Standing {
  /** Edits that are not at the server yet; those in the tray and those that wait for an answer are not counted. */
  unsent: number;
  /** Why nothing goes out at the moment; null while all is well. */
  trouble: string | null;
  /** Whether this browser keeps what is unsent: false when its storage is full or refused. */
  stored: boolean;
  /** Whether something is still on its way into this browser's storage: a page that is closed now would lose it. */
  writing: boolean;
}

const BACK_OFF_MS = [500, 1000, 2000, 4000, 8000, 15_000];

/**
 * One page's side of the protocol (docs/sync.md): what it knows of a garage, its outbox, and the exchange with the server.
 * Nothing here looks at a clock or a network by itself: both are handed in.
 */
export class Session {
  /** Edits that the browser has not stored yet, or would not store; they come after those that it has. */
  private loose: Entry[] = [];
  private stored: Entry[] = [];
  /** Outcomes that the store could not be told: it would offer those edits as unsent again. */
  private readonly untold = new Map<string, EditOutcome>();
  private trouble: string | null = null;
  private storing: Promise<void> = Promise.resolve();
  private storeFailed = false;
  /** What the rider said of questions and of the tray that is not stored yet. */
  private altering = 0;
  private pushing: Promise<void> | null = null;
  private pulling: Promise<void> | null = null;
  private again = false;
  private failures = 0;
  private waiting = false;
  private closed = false;
  /** Edition that the garage is said to have reached. */
  private heard = 0;
  /** One edit at a time, to find the one for which a whole request was refused. */
  private singly = false;

  constructor(
    readonly known: Known,
    private readonly ports: Ports,
    /** Called with the rows that are shown otherwise now, none when only the standing changed. */
    private readonly changed: (rows: RowAt[]) => void,
  ) {}

  /** The outbox in its order. */
  get entries(): readonly Entry[] {
    return [...this.stored, ...this.loose];
  }
  get standing(): Standing {
    const unsent = this.entries.filter((e) => e.state === 'unsent').length;
    const loose = this.loose.length > 0;
    return {
      unsent: unsent + this.altering,
      trouble: this.trouble,
      stored: !(this.storeFailed && loose),
      writing: this.altering > 0 || (loose && !this.storeFailed),
    };
  }
  /** Rows as the page shows them, by `keyOf`. */
  shown(rows: readonly RowAt[]) {
    return shownRows(this.known, this.entries, rows);
  }
  /** The revisions that new changes of rows are made on, by `keyOf`. */
  bases(rows: readonly RowAt[]) {
    return bases(this.known, this.entries, rows);
  }
  get questions() {
    return questions(this.known, this.entries);
  }

  /** Takes up what an earlier visit, or another page, left in the outbox. */
  async start(): Promise<void> {
    await this.reread();
    void this.push();
  }
  /** Ends the session: nothing more is sent from it. What is unsent stays in the outbox. */
  close(): void {
    this.closed = true;
  }

  /** Enters an edit: shown at once, stored, then sent. */
  add(edit: Edit): void {
    this.loose.push({ edit, state: 'unsent' });
    this.changed(edit.changes);
    void this.store().then(() => this.push());
  }

  /** Lays an edit straight into the tray: what cannot be sent as it is, named and with why. */
  setAside(edit: Edit, fault: Fault): void {
    this.loose.push({ edit, state: 'refused', fault });
    this.changed([]);
    void this.store();
  }

  /** The rider's answer about a row that two sides changed. */
  answer(asked: Pick<ClashQuestion, 'table' | 'id' | 'theirs'>, keep: 'mine' | 'theirs'): Promise<void> {
    return this.alter((entries) => withAnswer(this.known, entries, asked, keep, () => this.ports.nextId()));
  }
  /** Throws an edit out of the tray. */
  discard(id: string): Promise<void> {
    return this.alter((entries) => entries.filter((e) => e.edit.id !== id || e.state !== 'refused'));
  }
  /** Sends an edit of the tray again, as it was or altered, under an id of its own. */
  retry(id: string, altered?: Edit['changes']): Promise<void> {
    return this.alter((entries) =>
      entries.map((e) =>
        e.edit.id === id && e.state === 'refused'
          ? { edit: { ...e.edit, id: this.ports.nextId(), changes: altered ?? e.edit.changes }, state: 'unsent' }
          : e,
      ),
    );
  }

  private async alter(f: (entries: Entry[]) => Entry[]): Promise<void> {
    // From the press on nobody says that all is saved.
    this.altering++;
    this.changed([]);
    await this.store();
    const before = this.entries;
    this.loose = f([...this.loose]);
    try {
      await this.change(f);
    } catch {
      this.storeFailed = true;
      this.stored = f(this.stored);
    }
    this.altering--;
    this.tellChanges(before);
    this.ports.tell(this.known.edition);
    void this.push();
  }

  /** What is not stored yet goes into the store, in its order. */
  private store(): Promise<void> {
    this.storing = this.storing.then(async () => {
      const batch = [...this.loose];
      if (batch.length === 0 && this.untold.size === 0) return;
      const ids = new Set(batch.map((e) => e.edit.id));
      try {
        await this.change((entries) => [
          ...entries.filter((e) => !ids.has(e.edit.id)),
          // As they are by now: what was judged meanwhile has changed its state, or is gone.
          ...this.loose.filter((e) => ids.has(e.edit.id)),
        ]);
        this.loose = this.loose.filter((e) => !ids.has(e.edit.id));
        this.storeFailed = false;
        this.ports.tell(this.known.edition);
      } catch {
        this.storeFailed = true;
      }
      this.changed([]);
    });
    return this.storing;
  }
  /** Changes the store, and tells it first what it could not be told before. @throws when the browser does not keep it */
  private async change(f: (entries: Entry[]) => Entry[]): Promise<void> {
    let told: string[] = [];
    this.stored = await this.ports.outbox.change((entries) => {
      told = [...this.untold.keys()];
      return f(this.told(entries));
    });
    for (const id of told) this.untold.delete(id);
  }
  private told = (entries: readonly Entry[]) => judged(entries, [...this.untold.values()]);

  /** Another page changed the outbox. */
  async reread(): Promise<void> {
    const before = this.entries;
    try {
      const read = this.told(await this.ports.outbox.read());
      const ids = new Set(read.map((e) => e.edit.id));
      this.stored = read;
      this.loose = this.loose.filter((e) => !ids.has(e.edit.id));
    } catch {
      this.storeFailed = true;
    }
    this.tellChanges(before);
  }
  /** Rows of edits that came, went or changed their state since. */
  private tellChanges(before: readonly Entry[]): void {
    const was = new Map(before.map((e) => [e.edit.id, e.state]));
    const now = new Map(this.entries.map((e) => [e.edit.id, e.state]));
    const rows = new Map<string, RowAt>();
    for (const e of [...before, ...this.entries])
      if (was.get(e.edit.id) !== now.get(e.edit.id)) for (const c of e.edit.changes) rows.set(keyOf(c), c);
    this.changed([...rows.values()]);
  }

  /** Another page, or the server's stream, says that the garage has reached an edition. */
  async hear(edition: number): Promise<void> {
    this.heard = Math.max(this.heard, edition);
    if (edition <= this.known.edition || this.closed) return;
    this.pulling ??= this.pull().finally(() => (this.pulling = null));
    await this.pulling;
  }
  /** The line to the server broke: looks whether it is there, and goes on looking until it is. */
  check(): Promise<void> {
    this.heard = Math.max(this.heard, this.known.edition + 1);
    return this.push();
  }
  private async pull(): Promise<void> {
    try {
      const reply = await this.ports.exchange({ since: this.known.edition, edits: [] });
      if (!this.closed) this.changed(absorb(this.known, reply));
    } catch (error) {
      this.failed(error);
    }
  }

  /** Sends what is unsent. Only one page of the browser does so at a time. */
  push(): Promise<void> {
    this.again = true;
    this.pushing ??= this.pushAll().finally(() => (this.pushing = null));
    return this.pushing;
  }
  private async pushAll(): Promise<void> {
    while (this.again && !this.closed) {
      this.again = false;
      await this.store();
      await this.ports.alone(async () => {
        await this.reread();
        while (!this.closed && (await this.pushSome()));
      });
    }
  }
  /** @returns whether there may be more to send now */
  private async pushSome(): Promise<boolean> {
    const edits = this.batch();
    if (edits.length === 0 && this.heard <= this.known.edition) {
      if (this.trouble !== null) this.well();
      return false;
    }
    let reply: Reply;
    try {
      reply = await this.ports.exchange({ since: this.known.edition, edits });
    } catch (error) {
      if (!(error instanceof Rejected)) return this.failed(error);
      if (edits.length === 0) return this.failed(new Unreached(error.message));
      if (edits.length > 1) {
        this.singly = true;
        return true;
      }
      reply = {
        outcomes: [{ id: at(edits, 0).id, is: 'refused', fault: error.fault }],
        edition: this.known.edition,
        news: [],
      };
    }
    this.well();
    // What was heard of but is not there, as after a database was put back, is not asked for again and again.
    if (edits.length === 0) this.heard = 0;
    const left = new Set(reply.outcomes.map((o) => o.id));
    if (edits.length > 0 && edits.every((e) => !left.has(e.id)))
      return this.failed(new Unreached('The server did not answer as it should.'));
    await this.enter(reply);
    if (this.batch().length === 0) this.singly = false;
    return true;
  }
  private batch(): Edit[] {
    const out: Edit[] = [];
    let changes = 0;
    for (const e of this.entries) {
      if (e.state !== 'unsent') continue;
      changes += e.edit.changes.length;
      if (out.length > 0 && (changes > MOST_CHANGES || out.length >= (this.singly ? 1 : MOST_EDITS))) break;
      out.push(e.edit);
    }
    return out;
  }
  private async enter(reply: Reply): Promise<void> {
    // What the server says is shown before its edits leave the list: in between a row would stand there as it was before them.
    this.changed(absorb(this.known, reply));
    const before = this.entries;
    this.loose = judged(this.loose, reply.outcomes);
    try {
      await this.change((entries) => judged(entries, reply.outcomes));
    } catch {
      // Sent again after a reload, they get the same verdict again.
      this.storeFailed = true;
      for (const o of reply.outcomes) this.untold.set(o.id, o);
      this.stored = judged(this.stored, reply.outcomes);
    }
    this.tellChanges(before);
    this.ports.tell(this.known.edition);
  }

  private well(): void {
    this.failures = 0;
    this.trouble = null;
    this.changed([]);
  }
  private failed(error: unknown): false {
    this.trouble = error instanceof Error ? error.message : String(error);
    this.failures++;
    this.changed([]);
    if (!this.waiting && !this.closed) {
      this.waiting = true;
      void this.ports.wait(at(BACK_OFF_MS, Math.min(this.failures, BACK_OFF_MS.length) - 1)).then(() => {
        this.waiting = false;
        if (!this.closed) void this.push();
      });
    }
    return false;
  }
}
