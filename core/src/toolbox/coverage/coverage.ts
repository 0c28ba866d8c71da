import { at } from '../../ground/numbers.js';
import type { Fastener } from '../../bike/index.js';
import { endsOf, type CellFact, type ChainFinder, type End } from '../chains/index.js';
import { HEAD_FORMS, millimetres, printShape, type Head } from '../../ground/sizes/index.js';
import { eachOnce } from '../../ground/facts.js';
import type { Piece, PieceKind } from '../tools/index.js';

/**
 * What a piece does on a class of heads: `fits` on all of them, `some` on some only, `limp` where it goes on well but reach or torque stop it,
 * `loose` where it only spins them, nothing where it does not go on or rounds them off.
 */
export type CellState = 'fits' | 'some' | 'limp' | 'loose';
export interface CoverCell {
  state: CellState;
  /** Why it is no plain fit; empty for fits. */
  why: CellFact[];
}
/** Heads of one form and size: a row of the picture. Far ends count as heads of their own. */
export interface HeadClass {
  key: string;
  head: Head;
  fasteners: Fastener[];
  /** How many pieces turn all of them well. */
  fitting: number;
}
/** Pieces of one sort: a stretch of columns. */
export interface PieceGroup {
  name: string;
  pieces: Piece[];
}
export interface Coverage {
  rows: HeadClass[];
  groups: PieceGroup[];
  /** Cells by `row key` + tab + `piece id`; what is not here is nothing. */
  cells: Map<string, CoverCell>;
  /** Pieces that go on some head somewhere, but turn none of this bike. */
  idle: Piece[];
}

/** Key of a cell of the picture. */
export const cellKey = (row: HeadClass, piece: Pick<Piece, 'id'>): string => `${row.key}\t${piece.id}`;

/** Groups in the order of a bench, with the kinds that lie in each. */
const GROUPS: { name: string; kinds: PieceKind[] }[] = [
  { name: 'Spanners', kinds: ['combination spanner', 'ring spanner', 'open spanner'] },
  { name: 'Adjustables', kinds: ['adjustable'] },
  { name: 'Sockets', kinds: ['socket'] },
  { name: 'Keys', kinds: ['key', 'key set'] },
  { name: 'Bits', kinds: ['bit'] },
  { name: 'Drivers', kinds: ['driver'] },
  {
    name: 'Special',
    kinds: ['plug spanner', 'hook spanner', 'spoke key', 'valve tool', 'tyre lever', 'pliers', 'home-made', 'other'],
  },
];

const COLUMN_KINDS = new Set(GROUPS.flatMap((g) => g.kinds));
/** A socket for the shanks of bits is no idle one, though it goes on no head. */
const drivesBits = (p: Piece) => p.modes.every((m) => m.turns.form === 'hex' && m.turns.size === '1/4in');

/** The head that a piece is there for: its first that a fastener can have. */
const headOf = (p: Piece) =>
  p.modes.find((m) => (HEAD_FORMS as readonly string[]).includes(m.turns.form))?.turns ?? null;
const byHead = (a: Piece, b: Piece) => {
  const [x, y] = [headOf(a), headOf(b)];
  if (!x || !y) return 0;
  return (
    HEAD_FORMS.indexOf(x.form as Head['form']) - HEAD_FORMS.indexOf(y.form as Head['form']) ||
    (millimetres(x.size) || 0) - (millimetres(y.size) || 0) ||
    (a.name < b.name ? -1 : 1)
  );
};

/** One cell: the verdict over all heads of the class, the worst of them giving the reason. */
function cellOf(finder: ChainFinder, ends: readonly End[], piece: Piece): CoverCell | null {
  const seen = new Map<string, ReturnType<ChainFinder['onHead']>>();
  for (const end of ends) {
    const key = JSON.stringify(end);
    if (!seen.has(key)) seen.set(key, finder.onHead(end, piece.id));
  }
  const all = [...seen.values()];
  const bad = all.filter((v) => !v.ok);
  if (bad.length === 0) return { state: 'fits', why: [] };
  const why = (v: (typeof all)[number]): CellFact[] =>
    v.fails.length > 0 ? eachOnce(v.fails.map((f) => f.message)) : v.fit ? [v.fit.reason] : [];
  if (bad.length < all.length) return { state: 'some', why: why(at(bad, 0)) };
  const on = bad.find((v) => v.fit?.verdict === 'fits');
  if (on) return { state: 'limp', why: why(on) };
  const loose = bad.find((v) => v.fit?.verdict === 'loose');
  return loose ? { state: 'loose', why: why(loose) } : null;
}

/**
 * The coverage picture: heads of a bike by form and size against the pieces of the toolbox that go on heads.
 * Handles and what stands between hand and head are no columns: they show in the chains.
 * @param finder chains over the toolbox
 */
export function coverageOf(fasteners: readonly Fastener[], finder: ChainFinder): Coverage {
  const classes = new Map<string, { row: HeadClass; ends: End[] }>();
  for (const fastener of fasteners) {
    if (fastener.leftOut !== null) continue;
    for (const end of endsOf(fastener)) {
      const key = printShape(end.head);
      const known = classes.get(key) ?? { row: { key, head: end.head, fasteners: [], fitting: 0 }, ends: [] };
      if (!known.row.fasteners.includes(fastener)) known.row.fasteners.push(fastener);
      known.ends.push(end);
      classes.set(key, known);
    }
  }
  const rows = [...classes.values()].sort(
    ({ row: a }, { row: b }) =>
      HEAD_FORMS.indexOf(a.head.form) - HEAD_FORMS.indexOf(b.head.form) ||
      (millimetres(a.head.size) || 0) - (millimetres(b.head.size) || 0),
  );
  const cells = new Map<string, CoverCell>();
  const turning = finder.pieces.filter((p) => headOf(p) !== null);
  for (const { row, ends } of rows)
    for (const piece of turning) {
      const cell = cellOf(finder, ends, piece);
      if (!cell) continue;
      cells.set(cellKey(row, piece), cell);
      if (cell.state === 'fits') row.fitting++;
    }
  const used = new Set([...cells.keys()].map((k) => k.slice(k.indexOf('\t') + 1)));
  const busy = turning.filter((p) => used.has(p.id));
  return {
    rows: rows.map((r) => r.row),
    groups: GROUPS.map(({ name, kinds }) => ({
      name,
      pieces: busy.filter((p) => kinds.includes(p.kind)).sort(byHead),
    })).filter((g) => g.pieces.length > 0),
    cells,
    idle: turning.filter((p) => !used.has(p.id) && !drivesBits(p) && COLUMN_KINDS.has(p.kind)).sort(byHead),
  };
}
