import {
  judge,
  keyOf,
  type Change,
  type Edit,
  type EditOutcome,
  type Reply,
  type Request,
  type Stored,
} from '../garage/sync/index.js';

/** What the protocol says of the server (docs/sync.md), in memory and nothing else: the real one is held against it. */
export class SyncServer {
  readonly rows = new Map<string, Stored & { edition: number; change: Pick<Change, 'table' | 'id'> }>();
  readonly log = new Map<string, EditOutcome>();
  edition = 0;

  constructor(
    /** Told of each row that is really written, before it is. */
    private readonly watch: (edit: Edit, change: Change, before: Stored | null) => void = () => {},
    /** An edit that the server refuses for what it is; null for all others. */
    private readonly refusal: (edit: Edit) => { code: string; path: string; message: string } | null = () => null,
  ) {}

  exchange(request: Request): Reply {
    const outcomes = request.edits.map((e) => this.receive(e));
    const { since } = request;
    const news =
      since === null
        ? []
        : [...this.rows.values()]
            .filter((r) => r.edition > since)
            .map((r) => ({ ...r.change, revision: r.revision, row: r.deleted ? null : r.row }));
    return structuredClone({ outcomes, edition: this.edition, news });
  }

  private receive(edit: Edit): EditOutcome {
    const before = this.log.get(edit.id);
    if (before) return before;
    const outcome = this.decide(edit);
    this.log.set(edit.id, outcome);
    return outcome;
  }

  private decide(edit: Edit): EditOutcome {
    const fault = this.refusal(edit);
    if (fault) return { id: edit.id, is: 'refused', fault };
    const draft = new Map<string, Stored>();
    const at: (EditOutcome & { is: 'clash' })['at'] = [];
    const write: { change: Change; before: Stored | null; after: Stored }[] = [];
    edit.changes.forEach((change, i) => {
      const key = keyOf(change);
      const stored = draft.get(key) ?? this.rows.get(key) ?? null;
      const said = judge(change, stored);
      if (said.is === 'clash') at.push({ change: i, fields: said.fields, last: stored?.deleted ? stored.row : null });
      if (said.is !== 'write') return;
      const after = {
        revision: (this.rows.get(key)?.revision ?? 0) + 1,
        row: said.row ?? stored!.row,
        deleted: said.row === null,
      };
      draft.set(key, after);
      write.push({ change, before: stored, after });
    });
    if (at.length > 0) return { id: edit.id, is: 'clash', at };
    if (write.length > 0) this.edition++;
    for (const { change, before, after } of write) {
      this.watch(edit, change, before);
      const { table, id } = change;
      this.rows.set(keyOf(change), { ...after, edition: this.edition, change: { table, id } });
    }
    return { id: edit.id, is: 'done' };
  }
}
