import { SOURCES } from '../../ground/fields.js';
import {
  CONDITIONS,
  EVIDENCE,
  fastenerSchema,
  FREE_ACCESS,
  newFastener,
  roleOf,
  ROLES,
  STATION_NAMES,
  STATIONS,
  type Access,
  type Fastener,
} from '../../bike/index.js';
import { parseShape } from '../../ground/line/index.js';
import { THREADS, typeShape, USUAL_HEAD } from '../../ground/sizes/index.js';
import { number, oneOf, readRows, yes, type Column, type Preview, type Take } from './rows.js';
import { writeCsv } from '../../ground/csv/table.js';

const head =
  (key: 'head' | 'far'): Take<Fastener> =>
  (text, row) => {
    if (text === '') return null;
    const read = parseShape(text);
    if (!('head' in read)) return read.reason;
    row[key] = read.head;
    return null;
  };

type Measure = 'recess' | 'clearance' | 'headroom' | 'thin' | 'swing' | 'stud';
const ACCESS: { key: Measure; title: string; range: readonly [number, number] }[] = [
  { key: 'recess', title: 'sunk mm', range: [0, 5000] },
  { key: 'clearance', title: 'well mm', range: [0, 5000] },
  { key: 'headroom', title: 'room mm', range: [0, 5000] },
  { key: 'thin', title: 'thin mm', range: [0, 5000] },
  { key: 'swing', title: 'swing degrees', range: [1, 360] },
  { key: 'stud', title: 'stud mm', range: [0, 5000] },
];
const accessColumns = (end: 'access' | 'farAccess', prefix: string): Column<Fastener>[] => {
  const of = (row: Partial<Fastener>): Access => row[end] ?? FREE_ACCESS;
  return [
    ...ACCESS.map(({ key, title, range }): Column<Fastener> => ({
      title: `${prefix}${title}`,
      field: `${end}.${key}`,
      // Nought means free where free is nought, and is left empty.
      write: (f) => (FREE_ACCESS[key] === 0 && f[end][key] === 0 ? '' : (f[end][key] ?? '')),
      take: number((row, value) => (row[end] = { ...of(row), [key]: value }), range),
    })),
    {
      title: `${prefix}approach`,
      field: `${end}.approach`,
      write: (f) => (f[end].approach === 'any' ? '' : f[end].approach),
      take: oneOf(
        ['any', 'side only', 'in line only', 'out of line'] as const,
        (row, value) => (row[end] = { ...of(row), approach: value }),
        'approach',
      ),
    },
  ];
};
const word = (value: boolean) => (value ? 'yes' : '');

/** The columns of a fastener table, in the order in which they are written. */
const COLUMNS: Column<Fastener>[] = [
  {
    title: 'station',
    field: 'station',
    write: (f) => f.station,
    take: (text, row) => {
      if (text === '') return null;
      const asked = text.toLowerCase();
      const hit = STATIONS.find((s) => s === asked || STATION_NAMES[s].toLowerCase() === asked);
      if (!hit) return `no such station: ${STATIONS.join(', ')}`;
      row.station = hit;
      return null;
    },
  },
  {
    title: 'name',
    field: 'name',
    write: (f) => f.name,
    take: (text, row) => {
      if (text === '') return 'give it a name';
      row.name = text;
      return null;
    },
  },
  { title: 'head', field: 'head', write: (f) => typeShape(f.head), take: head('head') },
  { title: 'far end', field: 'far', write: (f) => (f.far ? typeShape(f.far) : ''), take: head('far') },
  {
    title: 'count',
    field: 'count',
    write: (f) => f.count,
    take: number((row, value) => (row.count = value), [1, 200], true),
  },
  {
    title: 'thread',
    field: 'thread',
    write: (f) => f.thread ?? '',
    take: oneOf(THREADS, (row, value) => (row.thread = value), 'thread'),
  },
  {
    title: 'torque N·m',
    field: 'torque',
    write: (f) => f.torque?.value ?? '',
    take: number((row, value) => (row.torque = { value, source: row.torque?.source ?? 'user' }), [0, 1000]),
  },
  {
    title: 'torque from',
    field: 'torque.source',
    write: (f) => f.torque?.source ?? '',
    take: oneOf(SOURCES, (row, source) => row.torque && (row.torque = { ...row.torque, source }), 'source'),
  },
  {
    title: 'condition',
    field: 'condition',
    write: (f) => f.condition,
    take: oneOf(
      Object.keys(CONDITIONS) as (keyof typeof CONDITIONS)[],
      (row, value) => (row.condition = value),
      'condition',
    ),
  },
  ...accessColumns('access', ''),
  ...accessColumns('farAccess', 'far '),
  {
    title: 'shakes loose',
    field: 'shakesLoose',
    write: (f) => word(f.shakesLoose),
    take: yes((row, value) => (row.shakesLoose = value)),
  },
  {
    title: 'gets lost',
    field: 'getsLost',
    write: (f) => word(f.getsLost),
    take: yes((row, value) => (row.getsLost = value)),
  },
  {
    title: 'breaks',
    field: 'breaks',
    write: (f) => word(f.breaks),
    take: yes((row, value) => (row.breaks = value)),
  },
  {
    title: 'accessory',
    field: 'accessory',
    write: (f) => word(f.accessory),
    take: yes((row, value) => (row.accessory = value)),
  },
  {
    title: 'evidence',
    field: 'evidence',
    write: (f) => f.evidence,
    take: oneOf(EVIDENCE, (row, value) => (row.evidence = value), 'step of the ladder'),
  },
  {
    title: 'job in a mend',
    field: 'role',
    write: (f) => f.role ?? '',
    take: oneOf(ROLES, (row, value) => (row.role = value), 'job'),
  },
  {
    title: 'left out because',
    field: 'leftOut',
    write: (f) => f.leftOut ?? '',
    take: (text, row) => {
      row.leftOut = text === '' ? null : text;
      return null;
    },
  },
  {
    title: 'note',
    field: 'note',
    write: (f) => f.note,
    take: (text, row) => {
      row.note = text;
      return null;
    },
  },
  {
    title: 'id',
    field: 'id',
    write: (f) => f.id,
    take: (text, row) => {
      if (text !== '') row.id = text;
      return null;
    },
  },
];

/** Titles of the columns, for the documentation and for an empty table to start from. */
export const FASTENER_COLUMNS: readonly string[] = COLUMNS.map((c) => c.title);

/** Fasteners as a CSV table, one a row, in the columns by which they are read. */
export const writeFasteners = (fasteners: readonly Fastener[]): string =>
  writeCsv(
    FASTENER_COLUMNS,
    fasteners.map((f) => COLUMNS.map((c) => c.write(f))),
  );

export type FastenerPreview = Preview<Fastener>;

/**
 * Reads a fastener table against a bike. A line whose `id` is a fastener of this bike changes that one, in the columns that the file has; any
 * other line is new. Nothing is written here.
 * @param nextId makes ids for new rows
 */
export function readFasteners(
  text: string,
  bikeId: string,
  known: readonly Fastener[],
  nextId: () => string,
): { ok: true; preview: FastenerPreview } | { ok: false; message: string } {
  return readRows<Fastener>(text, {
    columns: COLUMNS,
    schema: fastenerSchema,
    known: known.filter((f) => f.bikeId === bikeId),
    lacks: (fields) =>
      fields.has('head') || fields.has('thread')
        ? null
        : `there is no column "head": the first line must name the columns, such as ${FASTENER_COLUMNS.slice(0, 6).join(', ')}`,
    start: (old) => (old ? { access: old.access, farAccess: old.farAccess, torque: old.torque } : {}),
    clear,
    finish(draft, old, cells) {
      if (old) return { ...old, ...draft, id: old.id, head: draft.head ?? old.head };
      const usual = draft.thread ? USUAL_HEAD[draft.thread] : undefined;
      if (!draft.head && usual) {
        draft.head = { form: 'hex', size: usual };
        draft.evidence ??= 'assumed';
      }
      if (!draft.head) {
        cells.fault('head', 'no size: 10, 1/2in, i5, t30, ph2');
        return null;
      }
      const made = newFastener({ name: 'Fastener', ...draft, id: nextId(), bikeId, head: draft.head });
      // A table that says nothing of jobs gets them from the names.
      return { ...made, role: made.role ?? roleOf(made.name, made.station, made.head) };
    },
  });
}

const FREE_FIELDS: Record<string, (draft: Partial<Fastener>) => void> = {
  far: (d) => (d.far = null),
  thread: (d) => (d.thread = null),
  torque: (d) => (d.torque = null),
  role: (d) => (d.role = null),
};
function clear(field: string, draft: Partial<Fastener>): void {
  FREE_FIELDS[field]?.(draft);
  for (const end of ['access', 'farAccess'] as const)
    if (field.startsWith(`${end}.`)) {
      const key = field.slice(end.length + 1) as keyof Access;
      draft[end] = { ...(draft[end] ?? FREE_ACCESS), [key]: FREE_ACCESS[key] };
    }
}
