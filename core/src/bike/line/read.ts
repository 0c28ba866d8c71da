import { cut, MOST_LINE } from '../../ground/text.js';
import {
  figureAs,
  formBook,
  Phrasebook,
  quantityAt,
  quoted,
  rawOf,
  rewritten,
  sizeAt,
  tokensOf,
  type LineFact,
  type LineFault,
  type FormBook,
  type LineOption,
  type OwnWord,
  type LineReading,
  type SizeAt,
  type Token,
} from '../../ground/line/index.js';
import {
  FORM_WORDS,
  printShape,
  sizeExists,
  THREADS,
  typeShape,
  USUAL_HEAD,
  type Head,
  type HeadForm,
} from '../../ground/sizes/index.js';
import { FREE_ACCESS, ROLES, type Access, type Fastener } from '../fastener.js';
import { roleOf } from '../jobs.js';
import { STATION_NAMES, STATIONS, type Station } from '../stations.js';
import { accessAt } from './access.js';
import { stationOf } from './stationOf.js';
import {
  BEHIND,
  BOTH_ENDS,
  CONDITION_BOOK,
  COUNT_BEFORE,
  COUNT_WORDS,
  EVIDENCE_BOOK,
  FAR,
  FLAG_WORDS,
  FLAGS,
  LEFT_OUT,
  namesThings,
  NOTE,
  ROLE_BOOK,
  ROLE_WORDS,
  STATION_BOOK,
  TORQUE_SOURCES,
} from './words.js';

/** What a line makes of a fastener, and how each of its stretches was understood. */
export interface EntryReading extends LineReading {
  /** What was understood; it can be added only when there is a head, and neither a question nor a fault. */
  draft: Partial<Fastener>;
  /** Whether the station was named in the line; else it is a guess from the name, or not there. */
  stationSaid: boolean;
  /** Whether its job in repairs was named, be it none. */
  roleSaid: boolean;
}
/** Where a line is typed, which decides what goes without saying. */
export interface EntryContext {
  /** The station in view. */
  here?: Station;
  /** Whether inches are shown, so that `0.312` is one. */
  inch?: boolean;
  own?: readonly OwnWord[];
  /** Words that the rider's names already have. */
  known?: ReadonlySet<string>;
}

/** A stretch of the name: tokens from one to another, or a quoted text, which stands as it was typed. */
interface NameRun {
  from: number;
  to: number;
  verbatim: boolean;
}
interface Reader extends EntryReading {
  line: string;
  tokens: readonly Token[];
  context: EntryContext;
  forms: FormBook;
  access: Partial<Access>;
  farAccess: Partial<Access>;
  both: boolean;
  names: NameRun[];
  /** The tokens of the head's own size, and whether its form was said. */
  headAt: { from: number; to: number; said: boolean } | null;
  /** A form that was said before its figure, with words between: `inside hex bolt 6`. */
  pending: HeadForm | null;
}
/** Takes a stretch from a token on and says which token comes behind it; null where it is none of its kind. */
type Taker = (r: Reader, i: number) => number | null;

const NO_OPTIONS: readonly LineOption[] = [];
const startOf = (r: Reader, i: number): number => r.tokens[i]?.start ?? r.line.length;
const endOf = (r: Reader, to: number): number => r.tokens[to - 1]?.end ?? r.line.length;

function part(r: Reader, from: number, to: number, what: string, says: string | LineFact, others = NO_OPTIONS): number {
  r.parts.push({ start: startOf(r, from), end: endOf(r, to), what, says, others });
  return to;
}
function fault(r: Reader, from: number, to: number, message: string, texts: readonly string[] = []): number {
  const [start, end] = [startOf(r, from), endOf(r, to)];
  const options = texts.map((text) => ({ says: text, line: rewritten(r.line, start, end, text) }));
  r.faults.push({ start, end, message, options });
  return to;
}
/** A question about a stretch; each answer is a text that stands in its place. */
function ask(
  r: Reader,
  from: number,
  to: number,
  question: string,
  answers: readonly (readonly [says: string, text: string])[],
  word: string | null = null,
): number {
  const [start, end] = [startOf(r, from), endOf(r, to)];
  const options = answers.map(([says, text]) => ({ says, line: rewritten(r.line, start, end, text) }));
  r.asks.push({ start, end, question, options, word });
  return to;
}
const instead = (r: Reader, from: number, to: number, says: string, text: string): LineOption => ({
  says,
  line: rewritten(r.line, startOf(r, from), endOf(r, to), text),
});
const raw = (r: Reader, from: number, to: number): string => rawOf(r.line, r.tokens, from, to);
const isMark = (r: Reader, i: number, text: string): boolean =>
  r.tokens[i]?.kind === 'mark' && r.tokens[i]?.text === text;
const sizeHere = (r: Reader, i: number): SizeAt | null =>
  sizeAt(r.tokens, i, { forms: r.forms, inch: r.context.inch ?? false });

const takeQuoted: Taker = (r, i) => {
  const token = r.tokens[i];
  if (token?.kind !== 'quoted' || token.text.trim() === '') return null;
  r.names.push({ from: i, to: i + 1, verbatim: true });
  return part(r, i, i + 1, 'name', token.text.trim());
};

/** The line behind a token, up to the end or up to where another part begins. */
const restOf = (r: Reader, i: number, until: number): string =>
  r.line.slice(endOf(r, i), until < r.tokens.length ? startOf(r, until) : r.line.length).trim();

const takeNote: Taker = (r, i) => {
  const said = NOTE.at(r.tokens, i);
  if (!said || !isMark(r, said.to, ':')) return null;
  r.draft.note = cut(restOf(r, said.to + 1, r.tokens.length), 2000);
  return part(r, i, r.tokens.length, 'note', r.draft.note);
};
const takeLeftOut: Taker = (r, i) => {
  const said = LEFT_OUT.at(r.tokens, i);
  if (!said) return null;
  const from = isMark(r, said.to, ':') ? said.to + 1 : said.to;
  const quotedReason = r.tokens[from]?.kind === 'quoted' ? r.tokens[from].text : null;
  let until = quotedReason === null ? r.tokens.length : from + 1;
  if (quotedReason === null)
    for (let n = r.tokens.length - 1; n > from; n--) {
      const note = NOTE.at(r.tokens, n);
      if (note && isMark(r, note.to, ':')) until = n;
    }
  const reason = (quotedReason ?? restOf(r, from, until)).trim();
  if (reason === '') return fault(r, i, said.to, 'say why it is left out: left out: inside work');
  r.draft.leftOut = cut(reason, 300);
  return part(r, i, until, 'left out', r.draft.leftOut);
};

const putStation = (r: Reader, i: number, to: number, station: Station): number => {
  r.draft.station = station;
  r.stationSaid = true;
  return part(r, i, to, 'at', STATION_NAMES[station]);
};
/** `@rear`: the beginning of a station's name or code is enough. */
const takeAtSign: Taker = (r, i) => {
  if (!isMark(r, i, '@')) return null;
  const [first] = r.tokens.slice(i + 1);
  if (first?.kind !== 'word') return fault(r, i, i + 1, `say the station: ${STATIONS.map((s) => `@${s}`).join(' ')}`);
  let to = i + 2;
  while (isMark(r, to, '-') && r.tokens[to]?.glued && r.tokens[to + 1]?.glued && r.tokens[to + 1]?.kind === 'word')
    to += 2;
  const asked = r.line.slice(first.start, endOf(r, to)).toLowerCase();
  const hit = STATIONS.find((s) => s.startsWith(asked) || STATION_NAMES[s].toLowerCase().startsWith(asked));
  const called = hit ? null : STATION_BOOK.at(r.tokens, i + 1);
  if (hit) return putStation(r, i, to, hit);
  if (called) return putStation(r, i, called.to, called.means);
  return fault(r, i, to, `no station "${asked}": ${STATIONS.map((s) => `@${s}`).join(' ')}`);
};
const AT = new Phrasebook<'at' | 'on'>([
  ['at', 'at|at the'],
  ['on', 'on|on the|in|in the'],
]);
/** `at guards and racks`; `on the rear wheel` only where the line ends with it, for a bolt may be called so. */
const takeAtWord: Taker = (r, i) => {
  const said = AT.at(r.tokens, i);
  const station = said && STATION_BOOK.at(r.tokens, said.to);
  if (!said || !station) return null;
  if (said.means === 'on' && station.to < r.tokens.length) return null;
  return putStation(r, i, station.to, station.means);
};

const takeBothEnds: Taker = (r, i) => {
  const said = BOTH_ENDS.at(r.tokens, i);
  if (!said) return null;
  r.both = true;
  return part(r, i, said.to, 'ends', 'both the same');
};

const putCount = (r: Reader, i: number, to: number, n: number, others = NO_OPTIONS): number => {
  if (!Number.isInteger(n) || n < 1 || n > 200) return fault(r, i, to, 'a count is 1 to 200');
  r.draft.count = n;
  return part(r, i, to, 'count', `×${n}`, others);
};
const isX = (token: Token | undefined): boolean => token?.kind === 'word' && token.text === 'x';
/** `x4`, `4x`, `4 off`, `qty 4`. `4 x 10` may be four of size 10 or four by size: both readings are given. */
const takeCount: Taker = (r, i) => {
  const [a, b, c] = [r.tokens[i], r.tokens[i + 1], r.tokens[i + 2]];
  if (isX(a) && b?.kind === 'number') return putCount(r, i, i + 2, b.value);
  const before = COUNT_BEFORE.at(r.tokens, i);
  const figure = before ? r.tokens[before.to] : undefined;
  if (before && figure?.kind === 'number') return putCount(r, i, before.to + 1, figure.value);
  if (a?.kind !== 'number' || a.stops) return null;
  const behind = COUNT_WORDS.at(r.tokens, i + 1);
  if (behind && Number.isInteger(a.value)) return putCount(r, i, behind.to, a.value);
  if (!isX(b)) return null;
  // `36 x2` behind a size: the sign belongs to the figure that it hangs on.
  if (c?.kind === 'number' && r.draft.head && !b?.glued && c.glued) return null;
  if (c?.kind !== 'number' || r.draft.head || b?.stops) return putCount(r, i, i + 2, a.value);
  const isSize = (token: Token) => sizeExists('hex', token.text);
  if (isSize(a) !== isSize(c)) {
    if (!isSize(c)) putHead(r, i, { form: 'hex', size: a.text });
    return isSize(c) ? putCount(r, i, i + 2, a.value) : putCount(r, i + 1, i + 3, c.value);
  }
  // Size first where the sign hangs on the count: `10 x4`; count first where it hangs on the count there: `4x 10`.
  if (!b?.glued && c.glued) return null;
  if (b?.glued && !c.glued) return putCount(r, i, i + 2, a.value);
  const other = instead(r, i, i + 3, `size ${a.text}, ${c.text} of them`, `${a.text} x${c.text}`);
  return putCount(r, i, i + 2, a.value, [other]);
};

const putThread = (r: Reader, i: number, to: number, thread: string): number => {
  if (!THREADS.includes(thread)) return fault(r, i, to, `no thread ${thread} here: threads are ${THREADS.join(', ')}`);
  r.draft.thread = thread;
  return part(r, i, to, 'thread', thread);
};
const THREAD = new Phrasebook<true>([[true, 'thread|threaded']]);
/** `m8`, `M8x1.25`, `thread 5/16-18`, `1/4-20`. A bolt's length behind its thread is no field: it stays in the name. */
const takeThread: Taker = (r, i) => {
  const said = THREAD.at(r.tokens, i);
  const at = said ? said.to : i;
  const [a, b] = [r.tokens[at], r.tokens[at + 1]];
  if (a?.kind === 'word' && a.text === 'm' && b?.kind === 'number' && !b.fraction) {
    let [to, length] = [at + 2, false];
    while (isX(r.tokens[to]) && r.tokens[to + 1]?.kind === 'number' && !r.tokens[to - 1]?.stops) {
      const by = r.tokens[to + 1]?.value ?? 0;
      // `m8 x4` is four of them; a pitch is at most 3, a length at least 5 and set off by the same blanks.
      const pitch = !length && by <= 3 && (r.tokens[to + 1]?.decimals ?? 0) > 0;
      const spaced = r.tokens[to]?.glued === r.tokens[to + 1]?.glued;
      if (!pitch && (!spaced || by < 5)) break;
      length ||= !pitch;
      to += 2;
    }
    if (to > at + 2) r.names.push({ from: at, to, verbatim: false });
    const done = putThread(r, i, to, `M${b.text}`);
    if (to > at + 2) part(r, at, to, 'name', raw(r, at, to));
    return done;
  }
  if (!a?.fraction) return null;
  const unit = quantityAt(r.tokens, at);
  let to = unit?.unit.sign === 'in' ? unit.to : at + 1;
  const pitched =
    isMark(r, to, '-') && r.tokens[to]?.glued && r.tokens[to + 1]?.kind === 'number' && r.tokens[to + 1]?.glued;
  if (pitched) to += 2;
  return said || pitched ? putThread(r, i, to, `${a.text}in`) : null;
};

const TORQUE_WORD = new Phrasebook<true>([[true, 'torque|tighten to|tightened to|tightening torque|torqued to']]);
const takeTorque: Taker = (r, i) => {
  const word = TORQUE_WORD.at(r.tokens, i);
  const at = word && isMark(r, word.to, ':') ? word.to + 1 : (word?.to ?? i);
  const q = quantityAt(r.tokens, at);
  const figure = r.tokens[at];
  if (word && !q && figure?.kind === 'number' && !figure.fraction) return unitless(r, i, at);
  if (q?.unit.kind !== 'torque') return null;
  const source = TORQUE_SOURCES.at(r.tokens, q.to);
  const to = source?.to ?? q.to;
  if (q.value > 1000) return fault(r, i, to, 'no fastener here takes over 1000 N·m (738 lb·ft): check the figure');
  const value = Math.round(q.value * 10) / 10;
  r.draft.torque = { value, source: source?.means ?? 'user' };
  const shown = r.context.inch ? 'lb·ft' : 'N·m';
  const typed = q.unit.sign === shown ? null : `${q.typed} ${q.unit.sign}`;
  return part(r, i, to, 'torque', { code: 'line.torque', typed, value, source: source?.means ?? null });
};

/** `torque 12` without a unit: the one that is shown, the other one key away. */
function unitless(r: Reader, from: number, at: number): number {
  const figure = r.tokens[at];
  const typed = figure?.value ?? 0;
  const [unit, other] = r.context.inch ? (['lb·ft', 'N·m'] as const) : (['N·m', 'lb·ft'] as const);
  const value = Math.round(typed * (unit === 'N·m' ? 1 : LB_FT) * 10) / 10;
  if (value > 1000) return fault(r, from, at + 1, 'no fastener here takes over 1000 N·m (738 lb·ft): check the figure');
  r.draft.torque = { value, source: 'user' };
  const text = `${figure?.text ?? ''}${other === 'N·m' ? 'nm' : 'lbft'}`;
  return part(r, from, at + 1, 'torque', `${typed} ${unit}`, [instead(r, from, at + 1, `${typed} ${other}`, text)]);
}
const LB_FT = 1.3558179483;

/** What stands in a tool's way; behind `far` the same words speak of the far end. */
const takeAccess: Taker = (r, i) => {
  const far = FAR.at(r.tokens, i);
  const read = accessAt(r.tokens, far?.to ?? i);
  if (!read) return null;
  if ('fault' in read) return fault(r, i, read.to, read.fault);
  Object.assign(far ? r.farAccess : r.access, read.set);
  return part(r, i, read.to, far ? 'access, far end' : 'access', read.says);
};

const takeWords: Taker = (r, i) => {
  const flag = FLAGS.at(r.tokens, i);
  if (flag) {
    r.draft[flag.means] = true;
    return part(r, i, flag.to, 'takes care', FLAG_WORDS[flag.means]);
  }
  const condition = CONDITION_BOOK.at(r.tokens, i);
  if (condition) {
    r.draft.condition = condition.means;
    return part(r, i, condition.to, 'condition', condition.means);
  }
  const evidence = EVIDENCE_BOOK.at(r.tokens, i);
  if (!evidence) return null;
  r.draft.evidence = evidence.means;
  return part(r, i, evidence.to, 'evidence', evidence.means);
};

const NONE = new Phrasebook<true>([[true, 'none']]);
const takeRole: Taker = (r, i) => {
  const said = ROLE_WORDS.at(r.tokens, i);
  if (!said) return null;
  const colon = isMark(r, said.to, ':');
  const none = NONE.at(r.tokens, colon ? said.to + 1 : said.to);
  if (none) {
    r.draft.role = null;
    r.roleSaid = true;
    return part(r, i, none.to, 'job', 'none');
  }
  const role = ROLE_BOOK.at(r.tokens, colon ? said.to + 1 : said.to);
  if (role) {
    r.draft.role = role.means;
    r.roleSaid = true;
    return part(r, i, role.to, 'job', role.means);
  }
  return colon ? fault(r, i, said.to + 2, `no such role in repairs: ${ROLES.join(', ')}`) : null;
};

const putFar = (r: Reader, i: number, to: number, head: Head): number => {
  r.draft.far = head;
  return part(r, i, to, 'far end', printShape(head));
};
/** `far i14`, `12 behind`, `nut 12 behind`: each says plainly that it is the other end. */
const takeFar: Taker = (r, i) => {
  const far = FAR.at(r.tokens, i);
  const behindFirst = far ? null : BEHIND.at(r.tokens, i);
  // `sprocket bolt nut 12 behind`: the nut is the other end; in `axle nut 14 behind` it is what the fastener is called.
  const ofBolt = ['bolt', 'screw', 'stud'].includes(lastNameToken(r)?.text ?? '');
  const nut = r.tokens[i]?.text === 'nut' && ofBolt ? i + 1 : i;
  const from = far?.to ?? behindFirst?.to ?? nut;
  const read = sizeHere(r, from);
  if (!read) return null;
  const behind = BEHIND.at(r.tokens, read.to);
  const said = far || behindFirst || behind;
  if (!said || (!r.draft.head && !far)) return null;
  const to = behind?.to ?? read.to;
  return read.ok ? putFar(r, i, to, read.head) : fault(r, i, to, read.reason, read.nearest);
};

/** Nouns that make a plug one of oil or cable, not a spark plug. */
const NO_SPARK = new Set([
  'drain',
  'oil',
  'sump',
  'filler',
  'level',
  'magnetic',
  'gearbox',
  'fork',
  'blanking',
  'rubber',
]);
const lastNameToken = (r: Reader): Token | undefined => {
  const run = r.names.at(-1);
  return run && r.tokens[run.to - 1];
};

/** Words that stand behind a plain form's word where it is part of a name: `plug cover`, `hook bolt`, `key switch`. */
const joinsOn = (r: Reader, to: number): boolean => {
  const next = r.tokens[to];
  return (
    next?.kind === 'word' &&
    !r.tokens[to - 1]?.stops &&
    namesThings(next.text) &&
    !['x', 'at', 'on', 'in', 'far', 'both', 'for', 'loose'].includes(next.text)
  );
};

const bare = (head: Head): string => (head.form === 'hex' ? head.size : typeShape(head));

const putHead = (r: Reader, i: number, head: Head): number => {
  r.draft.head = head;
  r.headAt = { from: i, to: i + 1, said: true };
  return part(r, i, i + 1, 'size', printShape(head));
};
/** Nouns between a form and its figure: `slot screw 8`, `inside hex bolt 6`. */
const BOLTS = new Set(['bolt', 'bolts', 'screw', 'screws', 'nut', 'nuts', 'head', 'stud', 'fastener', 'cap']);
/** Forms whose plain words tell the form of a bolt when they stand right before it. */
const OF_BOLTS: ReadonlySet<HeadForm> = new Set(['slot', 'ph', 'square', 'lobe', 'key']);

/** A form apart from its figure: it tells what the figure is, be it before or behind. */
const takeForm: Taker = (r, i) => {
  const said = r.forms.at(r.tokens, i);
  if (!said || said.means.letter || r.headAt?.said) return null;
  const { form, plain } = said.means;
  const noun = BOLTS.has(r.tokens[said.to]?.text ?? '') && r.tokens[said.to + 1]?.kind === 'number';
  if (form === 'valve' || form === 'clip' || (plain && !(noun && OF_BOLTS.has(form)))) return null;
  if (!r.headAt) {
    r.pending = form;
    return part(r, i, said.to, 'size', FORM_WORDS[form]);
  }
  const read = figureAs(r.tokens, r.headAt.from, form);
  if (!read?.ok) return null;
  const { start } = r.tokens[r.headAt.from] ?? { start: 0 };
  r.parts = r.parts.filter((p) => !(p.what === 'size' && p.start === start));
  part(r, r.headAt.from, r.headAt.to, 'size', printShape(read.head));
  r.draft.head = read.head;
  r.headAt = { ...r.headAt, said: true };
  return part(r, i, said.to, 'size', FORM_WORDS[form]);
};

/** A figure whose form stands further on in the line: `6.3 rear spoke nipple`. */
function formAhead(r: Reader, i: number): SizeAt | null {
  for (let n = i + 1; n < r.tokens.length; n++) {
    const said = r.forms.at(r.tokens, n);
    if (!said || said.means.plain || said.means.letter) continue;
    const read = figureAs(r.tokens, i, said.means.form);
    if (read?.ok) return read;
  }
  return null;
}

/** A bare figure that is no outside hex: what else it may be. */
function noHex(r: Reader, i: number, read: Extract<SizeAt, { ok: false }>): number {
  const forms = (['key', 'slot'] as const).flatMap((form) => {
    const other = figureAs(r.tokens, i, form);
    // Blades are made in halves of a millimetre; a reading is none.
    return other?.ok && Number.isInteger(2 * (r.tokens[i]?.value ?? 0.3)) ? [other.head] : [];
  });
  const as = forms.map(printShape).join(' or ');
  const [start, end] = [startOf(r, i), endOf(r, read.to)];
  r.headAt = { from: i, to: read.to, said: false };
  r.faults.push({
    start,
    end,
    message: as ? `${read.reason}. Is it ${as}?` : read.reason,
    options: [
      ...forms.map((h) => ({ says: printShape(h), line: rewritten(r.line, start, end, typeShape(h)) })),
      ...read.nearest.map((n) => ({ says: n, line: rewritten(r.line, start, end, n) })),
    ],
  });
  return read.to;
}

/** `14/17 shock bolt`: no inch size, but two ends. */
function twoSizes(r: Reader, i: number): number | null {
  const fraction = r.tokens[i]?.fraction;
  if (!fraction || [2, 4, 8, 16, 32, 64].includes(fraction.of)) return null;
  const [near, far] = [String(fraction.n), String(fraction.of)];
  if (![near, far].every((s) => sizeExists('hex', s))) return null;
  return ask(r, i, i + 1, `What is “${raw(r, i, i + 1)}”?`, [
    [`${near}, and ${far} at the far end`, `${near} far ${far}`],
    [`${far}, and ${near} at the far end`, `${far} far ${near}`],
  ]);
}

/** The head's own size. */
const takeHead: Taker = (r, i) => {
  if (r.draft.head) return null;
  const token = r.tokens[i];
  const plainRead = sizeHere(r, i);
  const pending = r.pending && plainRead && !(plainRead.ok && plainRead.said) ? figureAs(r.tokens, i, r.pending) : null;
  const read =
    pending ?? (plainRead && !plainRead.ok && token?.kind === 'number' ? formAhead(r, i) : null) ?? plainRead;
  if (!read) return null;
  // A number in words is a size only where one is awaited: first in the line, or behind its form.
  if (token?.spelled && i > 0 && !(read.ok && read.said) && r.names.length > 0 && read.to === i + 1) return null;
  const formFirst = token?.kind === 'word';
  if (formFirst && read.ok && read.plain && r.names.length > 0) {
    const before = lastNameToken(r);
    const noSize = read.head.size === '';
    if (noSize || (read.head.form === 'plug' && NO_SPARK.has(before?.text ?? ''))) return null;
  }
  if (!read.ok) {
    // A plain word before a figure that is no size of it is a word of the name: `hook 10`.
    if (formFirst && r.names.length > 0) return null;
    const bareFigure = token?.kind === 'number' && !r.forms.at(r.tokens, read.to - 1);
    if (!bareFigure || pending) return fault(r, i, read.to, read.reason, read.nearest);
    return twoSizes(r, i) ?? noHex(r, i, read);
  }
  r.draft.head = read.head;
  r.headAt = { from: i, to: read.to, said: read.said };
  r.pending = null;
  return part(r, i, read.to, 'size', printShape(read.head), otherHeads(r, i, read));
};

/** What else a size may be: a plain word that belongs to the name, a small hex that is inside. */
function otherHeads(r: Reader, i: number, read: Extract<SizeAt, { ok: true }>): LineOption[] {
  const formFirst = r.tokens[i]?.kind === 'word';
  const { form, size } = read.head;
  if (form === 'hex' && read.said && sizeExists('key', size) && Number(size) <= SMALL_HEX)
    return [instead(r, i, read.to, `inside hex ${size}`, `i${size}`)];
  if (!read.plain || size === '') return [];
  if (!formFirst && joinsOn(r, read.to)) {
    const words = raw(r, read.figure[1], read.to);
    const text = `${raw(r, ...read.figure)} "${words}"`;
    return [instead(r, i, read.to, `outside hex, with “${words}” in the name`, text)];
  }
  if (formFirst && r.names.length > 0) {
    const words = raw(r, i, read.figure[0]);
    const text = `"${words}" ${raw(r, ...read.figure)}`;
    return [instead(r, i, read.to, `outside hex, with “${words}” in the name`, text)];
  }
  return [];
}
/** Up to this size a hex that is only called so is as often an inside one, mm. */
const SMALL_HEX = 6;

/** A length as how deep the head sits. */
const asDepth = (words: string): readonly [string, string] => [
  'how deep the head sits',
  `sunk ${words.replace(/ ?mm$/iu, '')}`,
];

/** A second figure: it may be the far end, a torque, a depth, or a word of the name. It is never taken for one of them unasked. */
const takeSecond: Taker = (r, i) => {
  const { head } = r.draft;
  if (!head) return null;
  const token = r.tokens[i];
  if (!token || token.spelled || token.kind === 'mark') return null;
  const read = sizeHere(r, i);
  if (!read || (read.ok && read.plain && token.kind === 'word')) return null;
  if (read.ok && read.head.size === '') return null;
  const words = raw(r, i, read.to);
  if (token.kind === 'word' && !read.ok) return fault(r, i, read.to, read.reason, read.nearest);
  const plainFigure = read.to === i + 1 && token.kind === 'number' && !token.fraction;
  const far: readonly (readonly [string, string])[] =
    read.ok && !r.draft.far ? [[`far end, ${printShape(read.head)}`, `far ${bare(read.head)}`]] : [];
  const depth = quantityAt(r.tokens, i)?.unit.kind === 'length' ? [asDepth(words)] : [];
  const unit = r.context.inch ? 'lbft' : 'nm';
  const torque: readonly (readonly [string, string])[] =
    plainFigure && !r.draft.torque
      ? [[`torque, ${token.text} ${r.context.inch ? 'lb·ft' : 'N·m'}`, `${token.text}${unit}`]]
      : [];
  const order = r.draft.torque ? [...far, ...torque] : [...torque, ...far];
  return ask(r, i, read.to, `What is “${words}”?`, [...order, ...depth, ['part of the name', quoted(words)]]);
};

/** A figure that is nothing yet: `45nn`, `2000`. */
const takeFigure: Taker = (r, i) => {
  const token = r.tokens[i];
  if (token?.kind !== 'number' || token.spelled) return null;
  let to = i + 1;
  while (r.tokens[to]?.glued && r.tokens[to - 1]?.end === r.tokens[to]?.start) to++;
  const words = raw(r, i, to);
  const q = quantityAt(r.tokens, i);
  if (q?.unit.kind === 'length')
    return ask(r, i, q.to, `What is “${raw(r, i, q.to)}”?`, [
      asDepth(raw(r, i, q.to)),
      ['part of the name', quoted(raw(r, i, q.to))],
    ]);
  const nearest = /^n/iu.test(words.slice(token.text.length)) ? [`${token.text}nm`] : [];
  return fault(r, i, to, `cannot read "${words}": a size is 10, 1/2in, i5, t30; torque is 45nm; depth is sunk 60`, [
    ...nearest,
    quoted(words),
  ]);
};

/** `#2`: a number behind a sign is a name's. */
const takeNumbered: Taker = (r, i) =>
  isMark(r, i, '#') && r.tokens[i + 1]?.glued && r.tokens[i + 1]?.kind === 'number' ? takeRun(r, i, i + 2) : null;

const takeRun = (r: Reader, from: number, to: number): number => {
  const last = r.names.at(-1);
  const grows = last && !last.verbatim && last.to === from && !r.tokens[from - 1]?.stops;
  if (grows) last.to = to;
  else r.names.push({ from, to, verbatim: false });
  return to;
};
/** A word, with the figures that hang on it: `A2`, `zz9`. */
const takeName: Taker = (r, i) => {
  let to = i + 1;
  while (r.tokens[i]?.kind === 'word' && r.tokens[to]?.glued && r.tokens[to]?.kind !== 'mark') to++;
  return takeRun(r, i, to);
};

/** In the order in which they are tried at each place. */
const TAKERS: readonly Taker[] = [
  takeQuoted,
  takeNote,
  takeLeftOut,
  takeAtSign,
  takeAtWord,
  takeBothEnds,
  takeCount,
  takeThread,
  takeAccess,
  takeTorque,
  takeWords,
  takeRole,
  takeFar,
  takeHead,
  takeSecond,
  takeForm,
  takeNumbered,
  takeFigure,
  takeName,
];

/** Signs that a part between them left open: `tank bolts (6 Nm)`. */
const LOOSE_BEFORE = /^[)\]}/+&:=.–—-]+ ?/u;
const LOOSE_BEHIND = / ?[([{/+&:=–—-]+$/u;
/** A stretch of the name as it is kept: signs that stood between it and another part go. */
function textOf(r: Reader, { from, to, verbatim }: NameRun): string {
  if (verbatim) return r.tokens[from]?.text.trim() ?? '';
  const text = raw(r, from, to);
  return /[\p{L}\p{N}]/u.test(text) ? text.replace(LOOSE_BEFORE, '').replace(LOOSE_BEHIND, '') : '';
}
/** The name from its stretches. What was not quoted begins with a capital. */
function nameOf(r: Reader): string | null {
  const text = r.names
    .map((run) => textOf(r, run))
    .filter(Boolean)
    .join(' ');
  if (text === '') return null;
  const [first = ''] = text;
  return cut(r.names[0]?.verbatim ? text : first.toUpperCase() + text.slice(first.length), 120);
}

/** Words beside a bare size that are known neither as names nor as forms: each is asked about once. */
function askUnknown(r: Reader): void {
  if (!r.headAt || r.headAt.said) return;
  const own = new Set((r.context.own ?? []).map((w) => w.said.toLowerCase()));
  for (const at of [r.headAt.from - 1, r.headAt.to]) {
    const token = r.tokens[at];
    if (token?.kind !== 'word' || !r.names.some((n) => !n.verbatim && n.from <= at && at < n.to)) continue;
    if ((at === r.headAt.to && r.tokens[at - 1]?.stops) || (at < r.headAt.from && token.stops)) continue;
    if (namesThings(token.text) || own.has(token.text) || r.context.known?.has(token.text)) continue;
    const word = r.line.slice(token.start, token.end);
    const options = [instead(r, at, at + 1, 'part of the name', quoted(word))];
    const question = `What is “${word}”?`;
    // `5 mm knarz`: what is no outside hex may be what the word says, so both are asked about together.
    const figure = startOf(r, r.headAt.from);
    const refused = r.faults.some((f) => f.start === figure);
    r.faults = r.faults.filter((f) => f.start !== figure);
    const [from, to] = refused ? [Math.min(at, r.headAt.from), Math.max(at + 1, r.headAt.to)] : [at, at + 1];
    r.asks.push({ start: startOf(r, from), end: endOf(r, to), question, options, word });
    return;
  }
}

function finish(r: Reader): EntryReading {
  const { draft, line } = r;
  const end = { start: line.length, end: line.length };
  const usual = draft.thread ? USUAL_HEAD[draft.thread] : undefined;
  if (!draft.head && usual && r.faults.length === 0) {
    draft.head = { form: 'hex', size: usual };
    draft.evidence = 'assumed';
    r.parts.push({ ...end, what: 'size', says: `outside hex ${usual}, usual on ${draft.thread}: assumed`, others: [] });
  }
  if (r.both && draft.head && !draft.far) draft.far = draft.head;
  if (Object.keys(r.access).length > 0) draft.access = { ...FREE_ACCESS, ...r.access };
  if (Object.keys(r.farAccess).length > 0) draft.farAccess = { ...FREE_ACCESS, ...r.farAccess };
  const name = nameOf(r);
  if (name !== null) draft.name = name;
  for (const { from, to, verbatim } of r.names)
    if (!verbatim && !r.parts.some((p) => p.what === 'name' && p.start === startOf(r, from))) {
      const text = textOf(r, { from, to, verbatim });
      if (text !== '') part(r, from, to, 'name', text);
    }
  // A spark plug's body stands through its hexagon: only a deep socket takes it.
  if (draft.head?.form === 'plug' && !r.access.stud) draft.access = { ...(draft.access ?? FREE_ACCESS), stud: 50 };
  askUnknown(r);
  if (!draft.head && r.faults.length === 0 && r.asks.length === 0 && line.trim() !== '')
    r.faults.push({ ...end, message: 'no size yet: 10, 1/2in, i5, t30, ph2, plug 16', options: [] });
  guessStation(r);
  r.parts.sort((a, b) => a.start - b.start || a.end - b.end);
  return { draft, parts: r.parts, asks: r.asks, faults: r.faults, stationSaid: r.stationSaid, roleSaid: r.roleSaid };
}

/** The line with words more, in front of a note or a reason, which run to its end. */
function withWords(r: Reader, words: string): string {
  const tail = r.parts.find((p) => p.what === 'note' || p.what === 'left out');
  return tail ? `${r.line.slice(0, tail.start)}${words} ${r.line.slice(tail.start)}` : `${r.line.trimEnd()} ${words}`;
}

/** Where the name says that it sits, when that is not the station in view: shown as a guess, the other one key away. */
function guessStation(r: Reader): void {
  const { here } = r.context;
  if (here === undefined || r.draft.name === undefined || !r.draft.head) return;
  const guess = r.stationSaid ? null : stationOf(r.draft.name);
  if (guess !== null && guess !== here) putGuess(r, guess, here);
  guessRole(r, r.draft.station ?? here);
}
function putGuess(r: Reader, guess: Station, here: Station): void {
  r.draft.station = guess;
  const others = [{ says: `at ${STATION_NAMES[here]}`, line: withWords(r, `@${here}`) }];
  r.parts.push({ start: r.line.length, end: r.line.length, what: 'at', says: STATION_NAMES[guess], others });
}

/** The job that a name says at its station, which the walk gives it: shown as a guess too. */
function guessRole(r: Reader, station: Station): void {
  if (r.roleSaid || r.draft.name === undefined) return;
  const role = roleOf(r.draft.name, station, r.draft.head);
  if (role === null) return;
  const others = [{ says: 'no role in repairs', line: withWords(r, 'role none') }];
  r.parts.push({ start: r.line.length, end: r.line.length, what: 'job', says: role, others });
}

/** Longer than anything that a row can hold: reading on would only keep whoever pasted it waiting. */
const tooLong = (line: string): LineFault => ({
  start: 0,
  end: line.length,
  message: `too long: a line holds ${MOST_LINE} characters. Shorten it`,
  options: [],
});

/**
 * Reads one line a fastener, as riders say it: `2 ends 17 shock linkage 45nm sunk 60`, `8 mm inside hex axle`, `1/2in rack bolt x2 accessory`,
 * `27 axle nut far i14 98 Nm at rear wheel`. Each word is understood, part of the name, asked about or refused: none is dropped.
 * @param line the text as typed
 * @param context the station in view, the units shown, the rider's own words
 * @returns the draft; the parts understood, the questions and the faults, with positions in the line
 */
export function readEntry(line: string, context: EntryContext = {}): EntryReading {
  if (line.length > MOST_LINE)
    return { draft: {}, parts: [], asks: [], faults: [tooLong(line)], stationSaid: false, roleSaid: false };
  const r: Reader = {
    line,
    tokens: tokensOf(line),
    context,
    forms: formBook(context.own ?? []),
    draft: {},
    parts: [],
    asks: [],
    faults: [],
    stationSaid: false,
    roleSaid: false,
    access: {},
    farAccess: {},
    both: false,
    names: [],
    headAt: null,
    pending: null,
  };
  let i = 0;
  while (i < r.tokens.length) {
    const from = i;
    for (const take of TAKERS) {
      const to = take(r, from);
      if (to === null) continue;
      i = to;
      break;
    }
    if (i === from) i++;
  }
  return finish(r);
}

/**
 * The fasteners of one line of a list: `27 axle nut 98nm, 13 rack bolt x4` are two where each part between commas can be added by itself.
 * @returns each stretch with its reading; the whole line where it is one
 */
export function readEntries(line: string, context: EntryContext = {}): { line: string; reading: EntryReading }[] {
  const whole = { line, reading: readEntry(line, context) };
  if (isComplete(whole.reading)) return [whole];
  const parts = line
    .split(/[,;] */u)
    .filter((p) => p.trim() !== '')
    .map((p) => ({ line: p, reading: readEntry(p, context) }));
  return parts.length > 1 && parts.every((p) => isComplete(p.reading)) ? parts : [whole];
}

/** Whether a draft can be added as it stands. */
export const isComplete = (reading: EntryReading): boolean =>
  reading.faults.length === 0 &&
  reading.asks.length === 0 &&
  reading.draft.head !== undefined &&
  sizeExists(reading.draft.head.form, reading.draft.head.size);
