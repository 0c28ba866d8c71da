import { sameJson } from '../../ground/json.js';
import { cut } from '../../ground/text.js';
import { z } from 'zod';
import {
  FUNCTIONS,
  KINDS,
  modeSchema,
  newPiece,
  pieceSchema,
  TRAITS,
  type Piece,
  type PieceModel,
} from '../../toolbox/tools/index.js';
import { readPiece } from '../../toolbox/line/index.js';
import { number, oneOf, readRows, type Column, type Preview, type Take } from './rows.js';
import { writeCsv } from '../../ground/csv/table.js';

/** The line of a piece as riders say it, when saying it gives the same shapes; empty for what is made or altered. */
function lineOf(piece: Piece): string {
  const read = readPiece(piece.name);
  return read.ok && sameJson(read.model.modes, piece.modes) && sameJson(read.model.functions, piece.functions)
    ? piece.name
    : '';
}

/** A draft that may also hold what the one-line column said. */
type Draft = Partial<Piece> & { said?: PieceModel };

const listOf =
  <V extends string>(list: readonly V[], set: (row: Partial<Piece>, value: V[]) => void, what: string): Take<Piece> =>
  (text, row) => {
    if (text === '') return null;
    const words = text
      .split(/[;|]/)
      .map((w) => w.trim())
      .filter(Boolean);
    const bad = words.find((w) => !list.includes(w as V));
    if (bad) return `no such ${what} "${cut(bad, 30)}": ${list.join(', ')}`;
    set(row, words as V[]);
    return null;
  };
const text =
  (set: (row: Partial<Piece>, value: string) => void): Take<Piece> =>
  (value, row) => {
    set(row, value);
    return null;
  };
const side = (key: keyof Piece['size']): Take<Piece> =>
  number((row, value) => (row.size = { ...(row.size ?? { length: 0, width: 0, height: 0 }), [key]: value }), [0, 5000]);

/** Greatest length of the shapes of one piece as text. */
const MOST_SHAPES = 20_000;
const shapes: Take<Piece> = (value, row) => {
  if (value === '') return null;
  if (value.length > MOST_SHAPES) return 'too long for one piece';
  let json: unknown;
  try {
    json = JSON.parse(value);
  } catch {
    return 'leave it empty, or copy it whole from a written table';
  }
  const read = z.array(modeSchema).max(24).safeParse(json);
  if (!read.success) return `no shapes of a piece: ${read.error.issues[0]?.message ?? ''}`;
  row.modes = read.data;
  return null;
};

const COLUMNS: Column<Piece>[] = [
  {
    title: 'piece',
    field: 'piece',
    write: lineOf,
    take: (value, row) => {
      if (value === '') return null;
      const read = readPiece(value);
      if (!read.ok) return read.reason;
      Object.assign(row, read.said);
      (row as Draft).said = read.model;
      return null;
    },
  },
  {
    title: 'name',
    field: 'name',
    write: (p) => p.name,
    take: (value, row) => {
      if (value !== '') row.name = value;
      return null;
    },
  },
  { title: 'kind', field: 'kind', write: (p) => p.kind, take: oneOf(KINDS, (row, v) => (row.kind = v), 'kind') },
  { title: 'count', field: 'count', write: (p) => p.count, take: number((row, v) => (row.count = v), [1, 200], true) },
  {
    title: 'mass g',
    field: 'mass',
    write: (p) => p.mass,
    take: number((row, v) => (row.mass = v), [0, 100_000]),
  },
  { title: 'price €', field: 'price', write: (p) => p.price, take: number((row, v) => (row.price = v), [0, 100_000]) },
  { title: 'length mm', field: 'size.length', write: (p) => p.size.length, take: side('length') },
  { title: 'width mm', field: 'size.width', write: (p) => p.size.width, take: side('width') },
  { title: 'height mm', field: 'size.height', write: (p) => p.size.height, take: side('height') },
  {
    title: 'condition',
    field: 'condition',
    write: (p) => p.condition,
    take: oneOf(['good', 'worn', 'broken'] as const, (row, v) => (row.condition = v), 'condition'),
  },
  {
    title: 'quality',
    field: 'quality',
    write: (p) => p.quality,
    take: oneOf(['good', 'cheap'] as const, (row, v) => (row.quality = v), 'quality'),
  },
  {
    title: 'in the kit',
    field: 'mark',
    write: (p) => p.mark ?? '',
    take: oneOf(['always', 'twice', 'never'] as const, (row, v) => (row.mark = v), 'mark'),
  },
  { title: 'kept', field: 'kept', write: (p) => p.kept, take: text((row, v) => (row.kept = v)) },
  { title: 'set', field: 'set', write: (p) => p.set, take: text((row, v) => (row.set = v)) },
  {
    title: 'does',
    field: 'functions',
    write: (p) => p.functions.join('; '),
    take: listOf(FUNCTIONS, (row, v) => (row.functions = v), 'function'),
  },
  {
    title: 'traits',
    field: 'traits',
    write: (p) => p.traits.join('; '),
    take: listOf(TRAITS, (row, v) => (row.traits = v), 'trait'),
  },
  {
    title: 'shapes',
    field: 'modes',
    write: (p) => (lineOf(p) === '' && p.modes.length > 0 ? JSON.stringify(p.modes) : ''),
    take: shapes,
  },
  { title: 'note', field: 'note', write: (p) => p.note, take: text((row, v) => (row.note = v)) },
  {
    title: 'id',
    field: 'id',
    write: (p) => p.id,
    take: () => null,
  },
];

/** Titles of the columns of a toolbox, in the order in which they are written. */
export const PIECE_COLUMNS: readonly string[] = COLUMNS.map((c) => c.title);

/** The toolbox as a table. What a line of the entry says is written as that line, what was made or altered with its shapes. */
export const writePieces = (pieces: readonly Piece[]): string =>
  writeCsv(
    PIECE_COLUMNS,
    pieces.map((p) => COLUMNS.map((c) => c.write(p))),
  );

/**
 * Reads a table into the toolbox. A line whose `id` is in the toolbox changes that piece; any other is new. `piece` says it in one line, as in
 * the entry; other columns say more, or all of it for what has no such line.
 * @param nextId makes ids for new rows
 */
export function readPieces(
  text: string,
  known: readonly Piece[],
  nextId: () => string,
): { ok: true; preview: Preview<Piece> } | { ok: false; message: string } {
  return readRows<Piece>(text, {
    columns: COLUMNS,
    schema: pieceSchema,
    known,
    lacks: (fields) =>
      fields.has('piece') || fields.has('name')
        ? null
        : 'there is no column "piece" nor "name": the first line must name the columns, such as piece, count, mass g',
    start: (old) => (old ? { size: old.size } : {}),
    clear: (field, draft) => {
      if (field === 'mark') draft.mark = null;
    },
    finish(draft, old, cells) {
      const { said, ...given } = draft as Draft;
      if (old)
        return {
          ...old,
          ...(said && !sameJson(said.modes, old.modes) && !given.modes ? said : {}),
          ...given,
          id: old.id,
        };
      if (said) {
        const size = given.size ? { ...said.size, ...nonZero(given.size) } : said.size;
        return newPiece({ ...said, ...given, size }, { ...given, size, id: nextId() });
      }
      if (!given.name) {
        cells.fault('piece', 'say the piece: socket 3/8 14, or give it a name');
        return null;
      }
      const blank: PieceModel = {
        name: given.name,
        kind: 'other',
        modes: [],
        functions: [],
        traits: [],
        mass: 0,
        size: { length: 0, width: 0, height: 0 },
        price: 0,
      };
      return newPiece({ ...blank, ...given }, { source: 'user', ...given, id: nextId() });
    },
  });
}

const nonZero = (size: Piece['size']): Partial<Piece['size']> =>
  Object.fromEntries(Object.entries(size).filter(([, v]) => v > 0));
