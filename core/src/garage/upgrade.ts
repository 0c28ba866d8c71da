import type { TableName } from './garage.js';

type Row = Record<string, unknown>;

/** A middle-of-the-road guess for what version 1 did not ask. The rider sees and corrects it in the bike's form. */
const bikeTo2 = (row: Row): Row => ({
  strokes: 4,
  plugs: 1,
  starter: 'electric',
  wheels: row['tyres'] === 'tubeless' ? 'cast' : 'spoked',
  brakeFront: 'disc',
  brakeRear: 'disc',
  tank: 12,
  seat: 'flat',
  fitted: [],
  ...row,
});
const fastenerTo2 = (row: Row): Row => ({
  getsLost: false,
  breaks: false,
  trail: [],
  gauge: null,
  farGauge: null,
  look: null,
  ...row,
});
const pieceTo2 = (row: Row): Row => ({
  weighed: false,
  condition: 'good',
  quality: 'good',
  kept: '',
  set: '',
  onlyBike: null,
  ...row,
});

/**
 * Brings one row of version 1 to version 2: fields that came new get what fits the old meaning. Rows already there stay as they are.
 * Never changed once a version is out: files and databases of old are read through it.
 */
export function rowTo2(table: TableName, row: Row): Row {
  switch (table) {
    case 'bikes':
      return bikeTo2(row);
    case 'fasteners':
      return fastenerTo2(row);
    case 'pieces':
      return pieceTo2(row);
    default:
      return row;
  }
}

/** The garage's own fields of version 1 with what version 2 asks of its practice. */
export function garageTo2(garage: Row): Row {
  const practice = garage['practice'];
  return typeof practice === 'object' && practice !== null
    ? { ...garage, practice: { least: 'mass', ...(practice as Row) } }
    : garage;
}

/** Brings a whole file of version 1 to version 2, before it is checked. What is not a list of rows is left for the check to refuse. */
export function fileTo2(file: Row): Row {
  const rows = (table: TableName) => {
    const list = file[table];
    return Array.isArray(list)
      ? list.map((r: unknown) => (typeof r === 'object' && r !== null ? rowTo2(table, r as Row) : r))
      : list;
  };
  const garage = file['garage'];
  const own = typeof garage === 'object' && garage !== null ? garageTo2(garage as Row) : garage;
  return {
    ...file,
    version: 2,
    garage: own,
    bikes: rows('bikes'),
    fasteners: rows('fasteners'),
    pieces: rows('pieces'),
  };
}
