import type { TableName } from './garage.js';
import type { Body, Change, Edit, Where } from './sync/change.js';

/** A row of a file of old: its fields by name, of whatever kind. */
export type OldRow = Record<string, unknown>;

/** A middle-of-the-road guess for what version 1 did not ask. The rider sees and corrects it in the bike's form. */
const bikeTo2 = (row: OldRow): OldRow => ({
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
const fastenerTo2 = (row: OldRow): OldRow => ({
  getsLost: false,
  breaks: false,
  trail: [],
  gauge: null,
  farGauge: null,
  look: null,
  ...row,
});
const pieceTo2 = (row: OldRow): OldRow => ({
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
export function rowTo2(table: TableName, row: OldRow): OldRow {
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
export function garageTo2(garage: OldRow): OldRow {
  const practice = garage['practice'];
  return typeof practice === 'object' && practice !== null
    ? { ...garage, practice: { least: 'mass', ...(practice as OldRow) } }
    : garage;
}

/** Trips of version 2 rode alone in their garage, their legs by hand, by day and in mild weather. */
const tripTo3 = (row: OldRow): OldRow => ({
  along: [],
  route: null,
  air: { times: 0, low: 120, high: 200 },
  coverKm: null,
  speeds: {
    callWithSignal: 0.3,
    walking: 4,
    companionRiding: 30,
    recoveryTruck: 50,
    towing: 25,
    hitchWait: 2,
    hitching: 40,
  },
  ...row,
  ...(Array.isArray(row['legs']) ? { legs: (row['legs'] as unknown[]).map(legTo3) } : {}),
});
const legTo3 = (leg: unknown): unknown =>
  typeof leg === 'object' && leg !== null
    ? {
        hours: 6 * Math.max(0, Number((leg as OldRow)['days']) || 0),
        night: 0,
        temperature: 20,
        fuelGapKm: null,
        ...leg,
      }
    : leg;
const bikeTo3 = (row: OldRow): OldRow => ({
  consumption: 4.5,
  oilUse: 100,
  weak: [],
  engineHours: 0,
  services: [],
  ...row,
});

/** Brings one row of version 2 to version 3. */
export const rowTo3 = (table: TableName, row: OldRow): OldRow =>
  table === 'trips' ? tripTo3(row) : table === 'bikes' ? bikeTo3(row) : row;

/** What version 3 asks of a rider's practice, answered so that a kit stays what it was. */
const PRACTICE_3 = {
  drive: 'smallest that bears it',
  from: 'drawer',
  doubles: 'none',
  others: 'own bike only',
  quality: 'good where torque is high',
  worth: null,
  air: 'pump, cartridge for a bead',
  tubes: 'front only',
};
/** The garage's own fields of version 2 with what version 3 asks of its practice. */
export function garageTo3(garage: OldRow): OldRow {
  const practice = garage['practice'];
  return typeof practice === 'object' && practice !== null
    ? { ...garage, practice: { ...PRACTICE_3, ...(practice as OldRow) } }
    : garage;
}

/** Functions that a piece of version 3 has by its name: what makes the air was told apart by nothing else. */
function pieceTo4(row: OldRow): OldRow {
  const functions = Array.isArray(row['functions']) ? (row['functions'] as unknown[]) : [];
  const name = typeof row['name'] === 'string' ? row['name'].toLowerCase() : '';
  const gas = /cartridge/u.test(name);
  const more = [
    ...(functions.includes('inflate') && !gas ? [/electric|compressor/u.test(name) ? 'electric air' : 'hand air'] : []),
    ...(functions.includes('inflate') && gas ? ['gas air'] : []),
    ...(/locking pliers/u.test(name) ? ['clamp'] : []),
    ...(/\bsaw\b/u.test(name) ? ['saw'] : []),
  ].filter((f) => !functions.includes(f));
  const kept = gas ? functions.filter((f) => f !== 'inflate') : functions;
  return { ...row, functions: [...kept, ...more] };
}

/** Brings one row of version 3 to version 4: what spares must match, how supplies keep, and what a kit is asked for. */
export function rowTo4(table: TableName, row: OldRow): OldRow {
  switch (table) {
    case 'bikes':
      return { fit: {}, pushStarts: row['fuelling'] === 'carburettor', prevention: [], ...row };
    case 'pieces':
      return pieceTo4(row);
    case 'supplies':
      return { fits: '', bought: null, opened: null, condition: 'new', fittedOn: null, ...row };
    case 'trips':
      return { kit: TRIP_KIT_4, ...row };
    default:
      return row;
  }
}
const TRIP_KIT_4 = {
  ask: 'lightest',
  grade: 'ride-out',
  likely: 0.02,
  leftOut: [],
  value: 'hours',
  mass: 4500,
  bulk: null,
  price: null,
  hourEuros: 20,
  fetchEuros: 250,
  levels: [700, 1800, 4000, 7000],
  use: null,
};

/** What version 4 asks of a rider's practice, answered so that nothing is barred that was not before. */
const PRACTICE_4 = {
  levers: 'two',
  plugs: 'strings',
  reamer: 'hand reamer',
  lives: 'everyday part on the bike',
  skill: 'only what somebody can do',
  hand: 'has done it before',
  pressures: 'lowered and raised with the ground',
  rescue: 'carry the means',
  sparkPlug: 'where it earns its place',
};
/** The garage's own fields of version 3 with what version 4 asks of its practice. */
export function garageTo4(garage: OldRow): OldRow {
  const practice = garage['practice'];
  return typeof practice === 'object' && practice !== null
    ? { ...garage, practice: { ...PRACTICE_4, ...(practice as OldRow) } }
    : garage;
}

/** A mark that only version 5 knows, by what a piece is called; whoever packs otherwise takes it away. */
function pieceTo5(row: OldRow): OldRow {
  const name = typeof row['name'] === 'string' ? row['name'].toLowerCase() : '';
  const traits = Array.isArray(row['traits']) ? (row['traits'] as unknown[]) : [];
  const more = /jump pack|beacon|multimeter|head torch|lighter/u.test(name) ? ['kept dry'] : [];
  return { hollow: null, ...row, traits: [...traits, ...more.filter((t) => !traits.includes(t))] };
}
/** Slots of version 4 were all alike; clothes and food had room but no weight. */
function placeTo5(row: OldRow): OldRow {
  const slots = row['slots'];
  return {
    takenMass: 0,
    roughLimit: null,
    onRack: false,
    opening: null,
    ...row,
    slots: slots && !Array.isArray(slots) ? [slots] : (slots ?? null),
  };
}

/** Brings one row of version 4 to version 5: what the load is worked out from, and how pieces are laid. */
export function rowTo5(table: TableName, row: OldRow): OldRow {
  switch (table) {
    case 'bikes':
      return {
        ...{ frontAxle: null, centreHeight: null, loadIndexFront: null, loadIndexRear: null, rackLimit: null },
        ...row,
      };
    case 'pieces':
      return pieceTo5(row);
    case 'places':
      return placeTo5(row);
    case 'trips':
      return { pillion: 0, ...row };
    default:
      return row;
  }
}
/** The garage's own fields of version 4 with the rider and what is wanted of a packing. */
export const garageTo5 = (garage: OldRow): OldRow => ({
  rider: { mass: 92_000 },
  goals: { ride: 2, even: 2, soon: 2, everyday: 2, locked: 2, together: 2 },
  ...garage,
});

/** Leads and packs were one function in version 5; leads want another bike beside. */
function pieceTo6(row: OldRow): OldRow {
  const functions = Array.isArray(row['functions']) ? (row['functions'] as unknown[]) : [];
  const name = typeof row['name'] === 'string' ? row['name'].toLowerCase() : '';
  const leads = functions.includes('jump-start') && /\b(?:leads?|cables?)\b/u.test(name);
  return leads ? { ...row, functions: functions.map((f) => (f === 'jump-start' ? 'jump leads' : f)) } : row;
}
/** A kit of version 5 stays what it was: nothing was demanded, and the price of a gram was not asked. */
const tripTo6 = (row: OldRow): OldRow =>
  typeof row['kit'] === 'object' && row['kit'] !== null
    ? { ...row, kit: { knee: 1.2, musts: [], ...(row['kit'] as OldRow) } }
    : row;

/** Brings one row of version 5 to version 6: what is wrapped in a place, and what is demanded of a kit. */
export function rowTo6(table: TableName, row: OldRow): OldRow {
  switch (table) {
    case 'pieces':
      return pieceTo6(row);
    case 'places':
      return { wrapped: false, ...row };
    case 'trips':
      return tripTo6(row);
    default:
      return row;
  }
}
/** The garage’s own fields of version 5 as those of version 6: the same. */
export const garageTo6 = (garage: OldRow): OldRow => garage;

/** Brings one row of version 6 to version 7: spares that are always packed, or never. */
export const rowTo7 = (table: TableName, row: OldRow): OldRow => (table === 'supplies' ? { mark: null, ...row } : row);
/** The garage's own fields of version 6 with rates that the rider knows better. */
export const garageTo7 = (garage: OldRow): OldRow => ({ rates: [], ...garage });

/** Rows are in version 8 as they were in version 7. */
export const rowTo8 = (_table: TableName, row: OldRow): OldRow => row;
/** The garage's own fields of version 7 with words of the rider's own. */
export const garageTo8 = (garage: OldRow): OldRow => ({ words: [], ...garage });

/** Rows are in version 9 as they were in version 8: companions, crews and loans are new. */
export const rowTo9 = (_table: TableName, row: OldRow): OldRow => row;
/** The rider of version 8 was a mass: what they can do and may carry is as before, the practice's own. */
export const garageTo9 = (garage: OldRow): OldRow => {
  const rider = garage['rider'];
  if (typeof rider !== 'object' || rider === null) return garage;
  return {
    ...garage,
    rider: {
      ...{ name: '', hand: 3, skills: {}, firstAid: false, mayCarry: null, onBody: 0, bodyLitres: 0 },
      ...(rider as OldRow),
    },
  };
};

/** Trips of version 9 left on no day. */
export const rowTo10 = (table: TableName, row: OldRow): OldRow => (table === 'trips' ? { leaves: null, ...row } : row);
/** The garage's own fields of version 9: nobody compared gauges. */
export const garageTo10 = (garage: OldRow): OldRow => ({ gauge: null, ...garage });

/** What stood for the positions of the practice up to version 11, each in English, and the code that stands there now. */
const CODES_12: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  adjustable: { 'where nothing fixed does': 'last', 'hold only': 'holds' },
  ratchet: { 'within its torque': 'within-torque', 'never breaks loose': 'never' },
  standing: { 'plain bar only': 'bar', 'ratchet too': 'ratchet' },
  drive: { 'smallest that bears it': 'smallest', 'one middle drive': 'middle' },
  from: { drawer: 'toolbox', 'drawer first': 'toolbox-first' },
  doubles: { 'what gets lost or breaks': 'losable', 'everything vital': 'all' },
  others: { 'the bikes that ride along': 'along', 'own bike only': 'own', 'any stranger’s too': 'any' },
  quality: { 'good where torque is high': 'by-torque', 'good everywhere': 'good', 'cheap everywhere': 'cheap' },
  air: {
    'pump, cartridge for a bead': 'pump',
    'electric pump': 'electric',
    'hand pump': 'hand',
    'gas cartridges': 'gas',
    'two of them': 'two',
  },
  tubes: { 'front only': 'front', 'with tubeless tyres too': 'tubeless-too' },
  levers: { 'one and a long spanner': 'one' },
  plugs: { 'pin plugs': 'pins' },
  reamer: { 'hand reamer': 'hand', 'powered drill': 'drill' },
  lives: {
    'everyday part on the bike': 'everyday',
    'always on the bike': 'bike',
    'with the luggage': 'luggage',
    'on the back': 'back',
  },
  skill: { 'only what somebody can do': 'able', 'carry it, somebody may help': 'all' },
  hand: { 'has done it before': 'done' },
  pressures: { 'set once': 'once', 'lowered and raised with the ground': 'ground' },
  rescue: { 'carry the means': 'carry', 'walk out and recover later': 'walk', 'nothing but a phone': 'phone' },
  sparkPlug: { 'where it earns its place': 'earned' },
};
/** A garage's own fields with the positions of its practice read from one table of them to another. */
const practiceBy = (garage: OldRow, codes: typeof CODES_12): OldRow => {
  const practice = garage['practice'];
  if (typeof practice !== 'object' || practice === null) return garage;
  const now = Object.entries(practice as OldRow).map(([key, value]) => [
    key,
    typeof value === 'string' ? (codes[key]?.[value] ?? value) : value,
  ]);
  return { ...garage, practice: Object.fromEntries(now) as OldRow };
};
/** The garage's own fields of version 11 with the positions of its practice as codes. */
export const garageTo12 = (garage: OldRow): OldRow => practiceBy(garage, CODES_12);
/** And back: a database of version 12 as the program of version 11 reads it. */
export const garageFrom12 = (garage: OldRow): OldRow =>
  practiceBy(
    garage,
    Object.fromEntries(
      Object.entries(CODES_12).map(([key, codes]) => [
        key,
        Object.fromEntries(Object.entries(codes).map(([was, code]) => [code, was])),
      ]),
    ),
  );

/** What brings the rows and the garage's own fields of one version to the next, and the tables that are new in it. */
interface Step {
  to: number;
  row: (table: TableName, row: OldRow) => OldRow;
  own: (garage: OldRow) => OldRow;
  tables: readonly TableName[];
}
const asItWas = (_table: TableName, row: OldRow): OldRow => row;
const STEPS: readonly Step[] = [
  { to: 2, row: rowTo2, own: garageTo2, tables: [] },
  { to: 3, row: rowTo3, own: garageTo3, tables: ['rides'] },
  { to: 4, row: rowTo4, own: garageTo4, tables: ['mends', 'kits'] },
  { to: 5, row: rowTo5, own: garageTo5, tables: ['packings'] },
  { to: 6, row: rowTo6, own: garageTo6, tables: [] },
  { to: 7, row: rowTo7, own: garageTo7, tables: ['kinds'] },
  { to: 8, row: asItWas, own: garageTo8, tables: [] },
  { to: 9, row: asItWas, own: garageTo9, tables: ['companions', 'crews', 'loans'] },
  { to: 10, row: rowTo10, own: garageTo10, tables: ['drills', 'checks', 'reminders', 'watches', 'memories'] },
  { to: 11, row: asItWas, own: (garage) => garage, tables: ['happened', 'reviews'] },
  { to: 12, row: asItWas, own: garageTo12, tables: [] },
];
/** Steps that what a version wrote goes through. */
const stepsFrom = (version: number): readonly Step[] => STEPS.filter((s) => s.to > version);
const isRow = (v: unknown): v is OldRow => typeof v === 'object' && v !== null && !Array.isArray(v);

/** Tables whose rows ever changed. */
const REWRITTEN = ['bikes', 'fasteners', 'pieces', 'supplies', 'trips', 'rides', 'places', 'pins'] as const;

/** One version further. What is not a list is left for the check. */
function fileTo(file: OldRow, { to, row, own, tables }: Step): OldRow {
  const rows = Object.fromEntries(
    REWRITTEN.flatMap((table) => {
      const list = file[table];
      return Array.isArray(list) ? [[table, list.map((r: unknown) => (isRow(r) ? row(table, r) : r))]] : [];
    }),
  );
  const garage = file['garage'];
  // What a version did not know yet is empty.
  const fresh = Object.fromEntries(tables.map((table) => [table, file[table] ?? []]));
  return { ...file, ...fresh, ...rows, version: to, garage: isRow(garage) ? own(garage) : garage };
}

/**
 * Brings a file of an older version to the one now written, step by step.
 * @param version that the file says of itself
 */
export const fileToNow = (file: OldRow, version: number): OldRow => stepsFrom(version).reduce(fileTo, file);

/** A row that an older version wrote, as it is written now. */
const rowToNow = (table: Where, row: Body, version: number): Body =>
  stepsFrom(version).reduce((r: OldRow, step) => (table === 'garage' ? step.own(r) : step.row(table, r)), { ...row });

/** Fields of a row as they are written now: what a step adds to them of its own belongs to the whole row, not to them. */
function fieldsToNow(table: Where, fields: readonly (readonly [string, unknown])[], version: number): OldRow {
  const given = Object.fromEntries(fields.filter(([, value]) => value !== undefined));
  const now = rowToNow(table, given, version);
  return Object.fromEntries(Object.entries(now).filter(([field]) => field in given));
}

/**
 * Brings an edit that an older version entered into the outbox to what is written now, so that a newer program sends it as it was meant.
 * @param version the version of the garage file that it was entered under
 */
export function editToNow(edit: Edit, version: number): Edit {
  if (stepsFrom(version).length === 0) return edit;
  const changes = edit.changes.map((c): Change => {
    if (c.kind !== 'set') return { ...c, row: rowToNow(c.table, c.row, version) };
    const was = fieldsToNow(
      c.table,
      c.fields.map((f) => [f.field, f.was]),
      version,
    );
    const now = fieldsToNow(
      c.table,
      c.fields.map((f) => [f.field, f.now]),
      version,
    );
    return { ...c, fields: c.fields.map(({ field }) => ({ field, was: was[field], now: now[field] })) };
  });
  return { ...edit, changes };
}
