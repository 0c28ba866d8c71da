import {
  present,
  answered,
  climb,
  cut,
  faultsOf,
  fastenerSchema,
  isComplete,
  newFastener,
  NO_GAUGING,
  printShape,
  proposal,
  readEntry,
  readLine,
  sameJson,
  STATION_NAMES,
  type Bike,
  type EntryContext,
  type EntryReading,
  type Fastener,
  type Station,
  type Step,
  type Visit,
} from '@necessaire/core';
import * as texts from '../../words/walk/entry';

/** What a word beside a size may stand for, the likelier first. */
export const ENTRY_TERMS: readonly string[] = ['name', 'form:key', 'form:lobe', 'form:ph', 'form:slot', 'form:hex12'];

/** Where a line is typed: which bike and station, which row is corrected, what the walk asks for next. */
export interface Entering {
  bike: Bike;
  /** All rows that are there, so that a name finds what it answers. */
  fasteners: readonly Fastener[];
  station: Station;
  editing: Fastener | null;
  visit: Visit | null;
  nextId: string;
  who: string;
  now: string;
}
/** What a line would do when Enter is pressed. */
export type Entered =
  | { kind: 'row'; row: Fastener; label: string; says: string }
  /** A calliper's reading: it goes to the bench of this row, which is made when the walk asked for it. */
  | { kind: 'reading'; row: Fastener; isNew: boolean; value: number; says: string }
  | { kind: 'nothing'; message: string };

const ASSUME = /^\?$/;
const LEAVE = /^-\s*(.*)$/;
/** Two digits behind the point: no size is written so, a calliper's display is. */
const READING = /^[+]?\d{1,3}[.,]\d{2,4}(?: ?mm)?$|^[+]?\d?[.,]\d{3,5} ?(?:in|")$/i;

const step = (c: Entering, evidence: Fastener['evidence'], how: string): Step => ({
  evidence,
  who: c.who,
  when: c.now,
  how,
});

/** The row that the walk asks for: the one still assumed, or the proposal of what is usually there. */
function asked(c: Entering): { row: Fastener; isNew: boolean } | null {
  if (!c.visit) return null;
  const known = c.visit.rows.find((f) => f.leftOut === null && f.evidence === 'assumed');
  return known ? { row: known, isNew: false } : { row: proposal(c.visit.look, c.bike, c.nextId), isNew: true };
}

/** A row as the server will take it, or what is wrong with it: nothing else goes into the garage. */
function checked(entered: Extract<Entered, { kind: 'row' }>): Entered {
  const parsed = fastenerSchema.safeParse(entered.row);
  if (parsed.success) return { ...entered, row: parsed.data };
  const [first] = faultsOf(parsed.error);
  return { kind: 'nothing', message: first ? `${first.path}: ${first.message}` : texts.thisLineMakesNoFastener };
}

/** Evidence of a row whose far end was not spoken of: that end is what is usual there, and the row is no surer than it. */
const asSureAs = (evidence: Fastener['evidence'], farUnsaid: boolean): Fastener['evidence'] =>
  farUnsaid ? 'assumed' : evidence;

/**
 * What a line means here. Whatever it makes has passed the same schema as the server's.
 */
export function enteredAs(text: string, reading: EntryReading, c: Entering): Entered {
  const entered = meant(text, reading, c);
  return entered.kind === 'row' ? checked(entered) : entered;
}

/**
 * A bare size answers what the walk asks for; `?` takes it as assumed; `-` with a reason leaves it out; a reading
 * such as `12.94` goes to the bench. Anything else is a row of its own.
 */
function meant(text: string, reading: EntryReading, c: Entering): Entered {
  const line = text.trim();
  if (line === '') return { kind: 'nothing', message: texts.writeASizeFirst10 };
  const next = c.editing ? null : asked(c);
  if (READING.test(line)) {
    const read = readLine(line, 'calliper');
    const row = c.editing ? { row: c.editing, isNew: false } : next;
    if (read && row)
      return { kind: 'reading', ...row, value: read.value, says: texts.readingFor(row.row.name.toLowerCase()) };
  }
  if (next && ASSUME.test(line)) {
    const row = climb(next.row, step(c, 'assumed', texts.usualOnSuchABike));
    return { kind: 'row', row, label: texts.assume(row.name), says: texts.standsAsAssumed(row.name) };
  }
  const leave = LEAVE.exec(line);
  if (next && leave) {
    const leftOut = cut((leave[1] ?? '').trim(), 300) || 'not on this bike';
    const row = { ...next.row, leftOut };
    return { kind: 'row', row, label: texts.leaveOut(row.name), says: texts.leftOut(row.name, leftOut) };
  }
  if (!isComplete(reading) || !reading.draft.head)
    return {
      kind: 'nothing',
      message: reading.faults[0]?.message ?? reading.asks[0]?.question ?? texts.writeASizeFirst10,
    };
  const { draft } = reading;
  const head = reading.draft.head;
  if (c.editing) {
    const base = c.editing;
    const fresh = newFastener({ station: base.station, ...draft, id: base.id, bikeId: base.bikeId, head });
    const kept = { trail: base.trail, gauge: base.gauge, farGauge: base.farGauge, look: base.look };
    const plain = {
      ...fresh,
      ...kept,
      note: base.note.replace(/\s+/g, ' ').trim() === fresh.note ? base.note : fresh.note,
    };
    const row = plain.evidence === base.evidence ? plain : climb(plain, step(c, plain.evidence, texts.typedInTheLine));
    return { kind: 'row', row, label: texts.change(row.name), says: texts.changed(row.name) };
  }
  const how = texts.typedInTheLine;
  if (next && draft.name === undefined && (draft.station ?? next.row.station) === next.row.station) {
    const farUnsaid = next.row.far !== null && draft.far === undefined;
    const evidence = asSureAs(draft.evidence ?? 'measured', farUnsaid);
    const row = climb(
      { ...next.row, ...draft, id: next.row.id, bikeId: next.row.bikeId, head },
      step(c, evidence, farUnsaid ? texts.theFarEndWasNot(how) : how),
    );
    const says = farUnsaid
      ? texts.itsFarEndIsStill(row.name, printShape(head), printShape(present(row.far)))
      : `${row.name}: ${printShape(head)}, ${evidence}`;
    return { kind: 'row', row, label: texts.isSized(row.name), says };
  }
  const typed = newFastener({
    station: c.station,
    name: texts.fastener,
    ...draft,
    id: c.nextId,
    bikeId: c.bike.id,
    head,
  });
  const made = answered(typed, c.bike, c.fasteners, reading.stationSaid, reading.roleSaid);
  const row = climb(made, step(c, made.evidence, how));
  return { kind: 'row', row, label: texts.add(row.name), says: texts.addedAt(row.name, STATION_NAMES[row.station]) };
}

/** Whether a line would leave its row as it is. */
export const unchanged = (entered: Entered, editing: Fastener | null): boolean =>
  entered.kind === 'row' && editing !== null && sameJson(entered.row, editing);

/** A row with one more reading at its near end. */
export const withReading = (row: Fastener, value: number): Fastener => {
  const gauge = row.gauge ?? NO_GAUGING;
  return { ...row, gauge: { ...gauge, readings: [...gauge.readings, value].slice(-30) } };
};

const NOTHING_READ: EntryReading = { draft: {}, parts: [], asks: [], faults: [], stationSaid: false, roleSaid: false };

/** Reads a line with the part of the walk that speaks in signs left to `enteredAs`. */
export const readingOf = (text: string, walking: boolean, context: EntryContext = {}): EntryReading => {
  const line = text.trim();
  const sign = walking && (ASSUME.test(line) || LEAVE.test(line));
  return sign || READING.test(line) ? NOTHING_READ : readEntry(text, context);
};
