import {
  ALIVE_EVERY_MS,
  calliperLines,
  CALLIPER_FLAWS,
  catalogue,
  madeHead,
  parseShape,
  printShape,
  readNumber,
  SCALE_FLAWS,
  scaleLines,
  seeded,
  type Flaws,
  type Instrument,
  type MadeLine,
  type Signal,
} from '@necessaire/core';
import { UsageError, type Io } from './io.js';

/** What can be asked of a simulated instrument; texts as typed. */
export interface DeviceOptions {
  size?: string | undefined;
  across?: string | undefined;
  piece?: string | undefined;
  mass?: string | undefined;
  lines?: string | undefined;
  every?: string | undefined;
  noise?: string | undefined;
  zero?: string | undefined;
  drop?: string | undefined;
  seed?: string | undefined;
  inch?: boolean | undefined;
  keyboard?: boolean | undefined;
  stream?: boolean | undefined;
  server?: string | undefined;
  garage?: string | undefined;
  name?: string | undefined;
}

const DEFAULT_SERVER = 'http://127.0.0.1:7380';
const EVERY: Record<Instrument, number> = { calliper: 1200, scale: 250 };
const LINES: Record<Instrument, number> = { calliper: 3, scale: 24 };

function figure(text: string | undefined, otherwise: number, name: string, [min, max]: [number, number]): number {
  if (text === undefined) return otherwise;
  const value = readNumber(text);
  if (!(value >= min && value <= max)) throw new UsageError(`--${name} must be a number from ${min} to ${max}`);
  return value;
}

const flawsOf = (o: DeviceOptions, usual: Flaws): Flaws => ({
  noise: figure(o.noise, usual.noise, 'noise', [0, 1000]),
  zero: figure(o.zero, usual.zero, 'zero', [-1000, 1000]),
  drop: figure(o.drop, usual.drop, 'drop', [0, 1]),
});

/** The lines that the instrument makes, and a word of what it is put on. */
function source(instrument: Instrument, o: DeviceOptions): { lines: Generator<MadeLine, never>; on: string } {
  const random = seeded(figure(o.seed, 1, 'seed', [0, 2_000_000_000]));
  if (instrument === 'calliper') {
    const flaws = flawsOf(o, CALLIPER_FLAWS);
    if (o.across !== undefined) {
      const across = figure(o.across, 0, 'across', [1, 120]);
      return { lines: calliperLines(across, flaws, random), on: `a head ${across} mm across` };
    }
    const read = parseShape(o.size ?? '13');
    if (!('head' in read)) throw new UsageError(`--size: ${read.reason}`);
    const across = madeHead(read.head, random);
    if (!Number.isFinite(across)) throw new UsageError(`--size: a calliper cannot measure ${printShape(read.head)}`);
    return { lines: calliperLines(across, flaws, random), on: `a head of size ${printShape(read.head)}` };
  }
  const flaws = flawsOf(o, SCALE_FLAWS);
  if (o.mass !== undefined) {
    const mass = figure(o.mass, 0, 'mass', [1, 100_000]);
    return { lines: scaleLines(mass, flaws, random), on: `${mass} g` };
  }
  const asked = (o.piece ?? 'combination spanner 13').toLowerCase();
  const piece =
    catalogue().find((p) => p.name.toLowerCase() === asked) ??
    catalogue().find((p) => p.name.toLowerCase().includes(asked));
  if (!piece) throw new UsageError(`--piece: no piece like "${o.piece}" in the catalogue`);
  return { lines: scaleLines(piece.mass, flaws, random), on: piece.name };
}

async function garageOf(server: string, asked: string | undefined, io: Io): Promise<string> {
  const { garages } = (await io.get(`${server}/api/garages`)) as {
    garages: { id: string; deleted: boolean; garage: { name: string } }[];
  };
  const live = garages.filter((g) => !g.deleted);
  const hit = asked === undefined ? live[0] : live.find((g) => g.id === asked || g.garage.name === asked);
  if (!hit)
    throw new UsageError(`--garage: the server has ${live.map((g) => `"${g.garage.name}"`).join(', ') || 'none'}`);
  return hit.id;
}

/** One line as a device that types like a keyboard types it. */
const typed = (instrument: Instrument, value: number, inch: boolean) =>
  instrument === 'calliper' ? (inch ? `${(value / 25.4).toFixed(4)} in` : value.toFixed(2)) : `${value} g`;

/**
 * Runs a simulated calliper or scale: it types lines like a keyboard, or streams them through the server to the open page.
 * @returns exit code
 */
export async function deviceCommand(instrument: Instrument, o: DeviceOptions, io: Io): Promise<number> {
  if (o.keyboard && o.stream) throw new UsageError('either --keyboard or --stream');
  const streams = o.stream ?? (o.keyboard ? false : instrument === 'scale');
  const { lines, on } = source(instrument, o);
  const every = figure(o.every, EVERY[instrument], 'every', [0, 60_000]);
  const most = figure(o.lines, LINES[instrument], 'lines', [1, 100_000]);
  if (!streams) {
    for (let i = 0; i < most; i++) {
      const { value, sent } = lines.next().value;
      if (sent) io.out(`${typed(instrument, value, o.inch ?? false)}\n`);
      if (i + 1 < most) await io.wait(every);
    }
    return 0;
  }
  const server = (o.server ?? DEFAULT_SERVER).replace(/\/$/, '');
  const garage = await garageOf(server, o.garage, io);
  io.err(`${instrument} on ${on}, to ${server}. Ctrl-C ends it.\n`);
  let seq = 0;
  const send = (value: number | null, stable: boolean) => {
    const signal: Signal = { instrument, device: o.name ?? `simulated ${instrument}`, seq: seq++, value, stable };
    return io.post(`${server}/api/garages/${garage}/instruments`, signal);
  };
  let quiet = 0;
  for (let i = 0; i < most; i++) {
    const { value, stable, sent } = lines.next().value;
    // A lost line still counts: that is how the page learns of it.
    if (sent) await send(value, stable);
    else seq++;
    quiet = sent ? 0 : quiet + every;
    if (quiet >= ALIVE_EVERY_MS) {
      await send(null, false);
      quiet = 0;
    }
    for (let left = every; left > 0; left -= ALIVE_EVERY_MS) {
      await io.wait(Math.min(left, ALIVE_EVERY_MS));
      if (left > ALIVE_EVERY_MS) await send(null, false);
    }
  }
  return 0;
}
