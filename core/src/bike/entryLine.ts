import { cut, MOST_LINE } from '../ground/text.js';
import { SOURCES, sourceWords } from '../ground/fields.js';
import { readSize, sizeExists, THREADS, typeShape, USUAL_HEAD, type Head } from '../ground/sizes/index.js';
import { EVIDENCE, FREE_ACCESS, ROLES, type Access, type Condition, type Evidence, type Fastener } from './fastener.js';
import type { UnitSystem } from '../ground/units/index.js';
import { STATION_NAMES, STATIONS } from './stations.js';

/** A part of the entry line that was understood, with the words to show back. */
export interface ReadPart {
  start: number;
  end: number;
  label: string;
}
/** A part that cannot be read: shown underlined with its reason, and left in the line. */
export interface Problem {
  start: number;
  end: number;
  message: string;
}
export interface EntryReading {
  /** What was understood; complete only when there is a head and no problem. */
  draft: Partial<Fastener>;
  parts: ReadPart[];
  problems: Problem[];
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const END = String.raw`(?![\w/.,]*[\w/])`;
const word = (source: string) => new RegExp(`^(?:${source})${END}`, 'iu');
const num = (text: string | undefined) => Number((text ?? '').replace(',', '.'));

interface State {
  draft: Partial<Fastener>;
  access: Partial<Access>;
  farAccess: Partial<Access>;
  both: boolean;
  name: string[];
}
interface Pattern {
  re: RegExp;
  /** Applies the match; returns the label, or a problem's message behind a `!`. */
  take: (m: RegExpExecArray, s: State) => string;
}

const evidence = (text: string) => text.toLowerCase() as Evidence;
const CONDITION_WORDS: Record<string, Condition> = {
  clean: 'clean',
  dirty: 'dirty',
  locked: 'locked',
  rusty: 'rusted',
  rusted: 'rusted',
  seized: 'rusted',
};
const LB_FT = 1.3558179;
const MM_IN = 25.4;

/** Word behind a torque that says where it comes from; nothing said is the rider's own figure. */
const TORQUE_WORDS: Record<string, (typeof SOURCES)[number]> = {
  manual: 'manual',
  planned: 'planning value',
  logged: 'own log',
};
const torque = (typed: number, per: number, word: string | undefined, s: State): string => {
  const value = typed * per;
  if (value > 1000) return '! no fastener here takes over 1000 N·m (738 lb·ft): check the figure';
  const source = TORQUE_WORDS[(word ?? '').toLowerCase()] ?? 'user';
  s.draft.torque = { value: Math.round(value * 10) / 10, source };
  const shown = per === 1 ? `${s.draft.torque.value} N·m` : `${Math.round(typed * 10) / 10} lb·ft`;
  return `${shown}${source === 'user' ? '' : `, ${sourceWords(source)}`}`;
};

interface AccessPattern {
  re: RegExp;
  take: (m: RegExpExecArray, access: Partial<Access>) => string;
}
const length = (words: string, key: 'recess' | 'clearance' | 'headroom' | 'thin' | 'stud', label: string) => ({
  // Inches stand right behind their figure: in `sunk 60 in line only` the word is another.
  re: word(`(?:${words}) ${NUMBER}(?: ?mm|(in|"))?`),
  take: (m: RegExpExecArray, access: Partial<Access>) => {
    const typed = num(m[1]);
    const value = m[2] ? Math.round(typed * MM_IN * 10) / 10 : typed;
    if (value > 5000) return '! over five metres: check the figure';
    access[key] = value;
    return `${typed} ${m[2] ? 'in' : 'mm'} ${label}`;
  },
});
/** What stands in a tool's way; behind `far` the same words speak of the far end. */
const ACCESS: AccessPattern[] = [
  length('sunk', 'recess', 'deep'),
  length('well|round', 'clearance', 'free round it'),
  length('room', 'headroom', 'room in line'),
  length('thin', 'thin', 'thin'),
  length('stud', 'stud', 'stud'),
  {
    re: word(`swing ${NUMBER}(?: ?(?:deg|°))?`),
    take: (m, access) => {
      const value = num(m[1]);
      if (value < 1 || value > 360) return '! a swing is 1 to 360 degrees';
      access.swing = value;
      return `${value}° swing`;
    },
  },
  {
    re: word('(side only|in line only|out of line)'),
    take: (m, access) => (access.approach = m[1]!.toLowerCase() as Access['approach']),
  },
];

const PATTERNS: Pattern[] = [
  { re: word('(?:2|two|both) ends'), take: (_m, s) => ((s.both = true), 'both ends') },
  {
    re: word(String.raw`(?:x|×) ?(\d+)|(\d+) ?(?:x|×)`),
    take: (m, s) => {
      const n = Number(m[1] ?? m[2]);
      if (n < 1 || n > 200) return '! a count is 1 to 200';
      s.draft.count = n;
      return `×${n}`;
    },
  },
  {
    re: word(String.raw`thread ?(\d+/\d+)(?: ?(?:in|inch|"))?(?:-\d+)?`),
    take: (m, s) => {
      const thread = `${m[1]!}in`;
      if (!THREADS.includes(thread)) return `! no thread ${thread} here: threads are ${THREADS.join(', ')}`;
      s.draft.thread = thread;
      return `thread ${thread}`;
    },
  },
  {
    re: word(String.raw`m ?(\d+(?:[.,]\d+)?)`),
    take: (m, s) => {
      const thread = `M${num(m[1])}`;
      if (!THREADS.includes(thread)) return `! no thread ${thread} here: threads are ${THREADS.join(', ')}`;
      s.draft.thread = thread;
      return `thread ${thread}`;
    },
  },
  {
    re: word(String.raw`${NUMBER} ?(?:n·m|n\.m|nm|newton ?metres?)(?: (manual|planned|logged))?`),
    take: (m, s) => torque(num(m[1]), 1, m[2], s),
  },
  {
    re: word(String.raw`${NUMBER} ?(?:lb·ft|lb\.?ft|ft\.?lbs?|lbft)(?: (manual|planned|logged))?`),
    take: (m, s) => torque(num(m[1]), LB_FT, m[2], s),
  },
  ...ACCESS.map(({ re, take }): Pattern => ({ re, take: (m, s) => take(m, s.access) })),
  ...ACCESS.map(({ re, take }): Pattern => ({
    re: new RegExp(`^far ${re.source.slice(1)}`, 'iu'),
    take: (m, s) => take(m, s.farAccess).replace(/^(?!! )/, 'far end '),
  })),
  { re: word('shakes(?: loose)?|loose'), take: (_m, s) => ((s.draft.shakesLoose = true), 'shakes loose') },
  { re: word('gets lost|lost'), take: (_m, s) => ((s.draft.getsLost = true), 'gets lost') },
  { re: word('breaks'), take: (_m, s) => ((s.draft.breaks = true), 'breaks') },
  { re: word('accessory|added'), take: (_m, s) => ((s.draft.accessory = true), 'accessory') },
  {
    re: word(Object.keys(CONDITION_WORDS).join('|')),
    take: (m, s) => (s.draft.condition = CONDITION_WORDS[m[0].toLowerCase()]!),
  },
  { re: word(EVIDENCE.join('|')), take: (m, s) => (s.draft.evidence = evidence(m[0])) },
  {
    re: /^@ ?([\p{L}-]+)/u,
    take: (m, s) => {
      const asked = m[1]!.toLowerCase();
      const hit = STATIONS.find((st) => st.startsWith(asked) || STATION_NAMES[st].toLowerCase().startsWith(asked));
      if (!hit) return `! no station "${asked}": ${STATIONS.map((st) => `@${st}`).join(' ')}`;
      s.draft.station = hit;
      return `at ${STATION_NAMES[hit]}`;
    },
  },
  {
    re: word(`role:? ?(${[...ROLES].sort((a, b) => b.length - a.length).join('|')})`),
    take: (m, s) => {
      s.draft.role = ROLES.find((r) => r === m[1]!.toLowerCase()) ?? null;
      return `job: ${s.draft.role}`;
    },
  },
  { re: /^role:\S*/iu, take: () => `! no such job in a mend: ${ROLES.join(', ')}` },
  {
    re: /^left out:? *(.+?)(?= +note:|$)/iu,
    take: (m, s) => {
      s.draft.leftOut = cut(m[1]!.trim(), 300);
      return `left out: ${s.draft.leftOut}`;
    },
  },
  {
    re: /^note: *(.+)$/iu,
    take: (m, s) => {
      s.draft.note = cut(m[1]!.trim(), 2000);
      return 'note';
    },
  },
  {
    re: /^"([^"]{1,120})"/u,
    take: (m, s) => {
      s.name.push(m[1]!.trim());
      return `called ${m[1]!.trim()}`;
    },
  },
];

const FAR = /^(?:far|behind|nut) +(?=\S)/iu;

/**
 * Reads one line a fastener, as riders say it: `2 ends 17 shock linkage 45nm sunk 60`, `1/2in rack bolt x2 accessory`,
 * `27 axle nut far i14 98nm @rear`. Words that are none of these make the name.
 * @param line the text as typed
 * @returns the draft, the parts understood and the parts that were not, with positions in the line
 */
export function readEntry(line: string): EntryReading {
  // Longer than anything that a row can hold: reading on would only keep whoever pasted it waiting.
  if (line.length > MOST_LINE)
    return {
      draft: {},
      parts: [],
      problems: [{ start: 0, end: line.length, message: `too long: a line holds ${MOST_LINE} characters. Shorten it` }],
    };
  const s: State = { draft: {}, access: {}, farAccess: {}, both: false, name: [] };
  const parts: ReadPart[] = [];
  const problems: Problem[] = [];
  const put = (start: number, used: number, label: string) => {
    const span = { start, end: start + used };
    if (label.startsWith('! ')) problems.push({ ...span, message: label.slice(2) });
    else parts.push({ ...span, label });
  };
  let i = 0;
  while (i < line.length) {
    const rest = line.slice(i);
    const space = /^[\s,;]+/u.exec(rest);
    if (space) {
      i += space[0].length;
      continue;
    }
    const hit = firstMatch(rest);
    if (hit) {
      put(i, hit.m[0].length, hit.take(hit.m, s));
      i += hit.m[0].length;
      continue;
    }
    const far = FAR.exec(rest);
    // "axle nut 27" names the head itself; only after a head does "nut 12" mean what is behind it.
    if (far && (s.draft.head || /^far/iu.test(far[0]))) {
      const reading = readSize(rest.slice(far[0].length));
      if (reading) {
        const behind = /^ +behind(?!\w)/iu.exec(rest.slice(far[0].length + reading.used));
        const used = far[0].length + reading.used + (behind?.[0].length ?? 0);
        put(i, used, reading.ok ? takeFar(reading.head, s) : `! ${reading.reason}`);
        i += used;
        continue;
      }
    }
    const reading = readSize(rest, !s.draft.head && s.name.length === 0);
    if (reading) {
      put(i, reading.used, reading.ok ? takeHead(reading.head, s) : `! ${reading.reason}`);
      i += reading.used;
      continue;
    }
    const token = /^[^\s,;]+/u.exec(rest)![0];
    if (/^\d/u.test(token) || /^[te]\d/iu.test(token))
      put(i, token.length, `! cannot read "${token}": a size is 10, 1/2in, i5, t30; torque is 45nm; depth is sunk 60`);
    else s.name.push(token);
    i += token.length;
  }
  return finish(s, parts, problems, line.length);
}

function firstMatch(rest: string) {
  for (const { re, take } of PATTERNS) {
    const m = re.exec(rest);
    if (m) return { m, take };
  }
  return null;
}

function takeHead(head: Head, s: State): string {
  if (s.draft.head) return `! a second size: for the other end write "far ${typeShape(head)}"`;
  s.draft.head = head;
  return typeShape(head);
}

function takeFar(head: Head, s: State): string {
  s.draft.far = head;
  return `far end ${typeShape(head)}`;
}

function finish(s: State, parts: ReadPart[], problems: Problem[], length: number): EntryReading {
  const { draft } = s;
  if (!draft.head && draft.thread && problems.length === 0) {
    const usual = USUAL_HEAD[draft.thread];
    if (usual) {
      draft.head = { form: 'hex', size: usual };
      draft.evidence = 'assumed';
      parts.push({ start: length, end: length, label: `hex ${usual}, usual on ${draft.thread}: assumed` });
    }
  }
  if (s.both && draft.head && !draft.far) draft.far = draft.head;
  if (Object.keys(s.access).length > 0) draft.access = { ...FREE_ACCESS, ...s.access };
  if (Object.keys(s.farAccess).length > 0) draft.farAccess = { ...FREE_ACCESS, ...s.farAccess };
  if (s.name.length > 0) {
    const text = s.name.join(' ');
    draft.name = cut(text[0]!.toUpperCase() + text.slice(1), 120);
  }
  // A spark plug's body stands through its hexagon: only a deep socket takes it.
  if (draft.head?.form === 'plug' && !s.access.stud) draft.access = { ...(draft.access ?? FREE_ACCESS), stud: 50 };
  if (!draft.head && problems.length === 0 && length > 0)
    problems.push({
      start: length,
      end: length,
      message: 'no size yet: 10, 1/2in, i5, t30, ph2, plug 16',
    });
  return { draft, parts, problems };
}

/** A figure with at most so many decimals and no noughts behind. */
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** What stands in the way, as words of the entry line. A plug's own stud goes without saying. */
function typeAccess(a: Access, plainStud: boolean, units: UnitSystem): string[] {
  const out: string[] = [];
  const mm = (value: number) => (units === 'inch' ? `${trimmed(value / MM_IN, 3)}in` : String(value));
  if (a.recess) out.push(`sunk ${mm(a.recess)}`);
  if (a.clearance !== null) out.push(`well ${mm(a.clearance)}`);
  if (a.headroom !== null) out.push(`room ${mm(a.headroom)}`);
  if (a.thin !== null) out.push(`thin ${mm(a.thin)}`);
  if (a.stud && !plainStud) out.push(`stud ${mm(a.stud)}`);
  if (a.swing !== null) out.push(`swing ${a.swing}`);
  if (a.approach !== 'any') out.push(a.approach);
  return out;
}

/** A name in quotes where the line would read one of its words as something else. */
function typeName(text: string): string {
  const { draft, problems } = readEntry(`10 ${text}`);
  const plain = problems.length === 0 && Object.keys(draft).every((k) => k === 'head' || k === 'name');
  return plain && draft.name === text ? text : `"${text.replaceAll('"', '”')}"`;
}

/** A fastener as one entry line in the units on show; reading it again gives every field back but its evidence's history. */
export function typeEntry(f: Fastener, units: UnitSystem = 'metric'): string {
  const a = f.access;
  const same = f.far && f.far.form === f.head.form && f.far.size === f.head.size;
  const out: string[] = [];
  if (same) out.push('2 ends');
  out.push(typeShape(f.head), typeName(f.name));
  if (f.far && !same) out.push(`far ${typeShape(f.far)}`);
  if (f.count > 1) out.push(`x${f.count}`);
  if (f.thread) out.push(f.thread.startsWith('M') ? f.thread.toLowerCase() : `thread ${f.thread}`);
  if (f.torque) {
    const { value, source } = f.torque;
    const said = Object.keys(TORQUE_WORDS).find((w) => TORQUE_WORDS[w] === source);
    out.push(`${units === 'inch' ? `${trimmed(value / LB_FT, 2)}lbft` : `${value}nm`}${said ? ` ${said}` : ''}`);
  }
  out.push(...typeAccess(a, f.head.form === 'plug' && a.stud === 50, units));
  out.push(...typeAccess(f.farAccess, false, units).map((w) => `far ${w}`));
  if (f.shakesLoose) out.push('loose');
  if (f.getsLost) out.push('lost');
  if (f.breaks) out.push('breaks');
  if (f.accessory) out.push('accessory');
  if (f.condition !== 'dirty') out.push(f.condition);
  if (f.role) out.push(`role ${f.role}`);
  out.push(f.evidence, `@${f.station}`);
  if (f.leftOut) out.push(`left out: ${f.leftOut}`);
  if (f.note.trim()) out.push(`note: ${f.note.replace(/\s+/g, ' ').trim()}`);
  return out.join(' ');
}

/** Whether a draft can be added as it stands. */
export const isComplete = (reading: EntryReading): boolean =>
  reading.problems.length === 0 &&
  reading.draft.head !== undefined &&
  sizeExists(reading.draft.head.form, reading.draft.head.size);
