import {
  countsAsTime,
  isEither,
  savedByWay,
  WHEELS,
  type Drill,
  type StuckReason,
  type Wheel,
} from '../repairs/index.js';
import type { Exposure } from '../trip/odds/index.js';
import { baseWay, type ProveCase } from './proveCase.js';

/** A repair that was gone through proves it for so many days: hands forget, parts are swapped. Planning value. */
export const PROOF_DAYS = 365;

/** What of being stuck says that the kit as it is does not do it. */
const SPOILS: readonly StuckReason[] = ['missing', 'does not fit', 'too weak', 'cannot reach'];

/** Why a drill proves nothing, or no longer; null where it does. */
export type NoProof =
  | 'check overdue'
  | 'not finished'
  | 'dry'
  | 'pressed through'
  | 'stuck'
  | 'by somebody who stays at home'
  | 'with other tools'
  | 'long ago';

const DAY = 86_400_000;
/**
 * Whole days from one ISO date or moment to another.
 * @param from ISO
 * @param to ISO
 * @returns days, below nought where the second is earlier
 */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / DAY);

/** Why a drill does not prove its way for this kit and these riders; null where it does. */
export function noProof(d: Drill, c: Pick<ProveCase, 'kit' | 'riders' | 'today'>): NoProof | null {
  if (d.state !== 'done') return 'not finished';
  if (d.dry) return 'dry';
  if (!countsAsTime(d)) return 'pressed through';
  if (d.stuck.some((s) => SPOILS.includes(s.reason))) return 'stuck';
  if (!c.riders.has(d.who)) return 'by somebody who stays at home';
  const packed = new Set(c.kit.pieces.map((p) => p.piece.id));
  if (d.tools.some((id) => !packed.has(id))) return 'with other tools';
  return daysBetween(d.ended ?? d.started, c.today) > PROOF_DAYS ? 'long ago' : null;
}

/** Where one trouble stands: what the kit saves of its hours, and how much of that was shown to work. */
export interface Proof {
  troubleId: string;
  name: string;
  /** Hours at stake with no kit. */
  atStake: number;
  /** Of these: saved by the kit as planned, and by ways that were proven. */
  saved: number;
  proven: number;
  /** The kit's way, and the proven one that counts; null for none. */
  way: string | null;
  by: string | null;
  /** Latest drill of one of the kit's ways that proves nothing now, and why. */
  lapsed: NoProof | null;
}
export interface Readiness {
  /** Share of the hours at stake that proven ways save, 0 to 1; null where nothing is at stake. */
  share: number | null;
  /** Hours: at stake in all, saved by the kit, saved by proven ways. */
  atStake: number;
  saved: number;
  proven: number;
  /** Trouble by trouble, the most at stake first. */
  troubles: Proof[];
}

/** Hours that a way saves over the trip where it goes every time. */
const savedByGoing = (e: Exposure, way: string): number => {
  const w = e.trouble.ways.find((x) => x.name === way);
  return w ? e.lambda * savedByWay(w, e.without, e.away) : 0;
};

/** Wheels of a way for either that are not shown yet; empty where it is no question, or both are. */
export function wheelsLeft(way: Parameters<typeof isEither>[0], done: readonly Pick<Drill, 'wheel'>[]): Wheel[] {
  if (!isEither(way) || done.some((d) => d.wheel === null)) return [];
  return WHEELS.filter((w) => !done.some((d) => d.wheel === w));
}
/** How much of a way its drills show: one wheel of two is half of it. */
function shownShare(e: Exposure, name: string, done: readonly Drill[]): number {
  const way = baseWay(e.trouble, name);
  return done.length === 0 || !way ? 0 : 1 - wheelsLeft(way, done).length / WHEELS.length;
}

/**
 * How ready bike, kit and people are: the share of the trip's hours at stake that is saved by ways which somebody who rides has gone through with
 * this kit, on this bike, without being stuck over it, in the last year (docs/model.md, readiness).
 * @param held troubles whose spare or tool was found bad, or is overdue a look: nothing of them counts
 */
export function readiness(c: ProveCase, held: ReadonlySet<string> = new Set()): Readiness {
  const ofBike = c.drills.filter((d) => d.bikeId === c.bike.id);
  const good = ofBike.filter((d) => noProof(d, c) === null);
  const troubles = c.exposures
    .filter((e) => e.atStake > 0)
    .map((e): Proof => {
      const mends = c.kit.mends.filter((m) => m.troubleId === e.trouble.id && m.bikeId === c.bike.id);
      const saved = Math.min(
        e.atStake,
        mends.reduce((s, m) => s + m.hoursSaved, 0),
      );
      // The kit's own best way first: what it saves is known with its stocks; of the others what they would save.
      const best = mends.find((m) => m.way !== null)?.wayName ?? null;
      const has = [...new Set(mends.flatMap((m) => m.ways.map((w) => w.name)))];
      const baseOf = (name: string) => baseWay(e.trouble, name)?.name ?? name;
      const mine = (list: readonly Drill[], name: string) =>
        list.filter((d) => d.trouble === e.trouble.id && d.way === baseOf(name));
      let [proven, by] = [0, null as string | null];
      for (const name of has) {
        const share = shownShare(e, name, mine(good, name));
        if (share === 0 || held.has(e.trouble.id)) continue;
        const hours = share * (name === best ? saved : Math.min(saved, savedByGoing(e, name)));
        if (hours > proven || by === null) [proven, by] = [hours, name];
      }
      const last = has
        .flatMap((name) => mine(ofBike, name))
        .filter((d) => d.state !== 'running' && d.state !== 'paused')
        .sort((a, b) => (a.started < b.started ? 1 : -1))[0];
      return {
        troubleId: e.trouble.id,
        name: e.trouble.name,
        atStake: e.atStake,
        saved,
        proven,
        way: best,
        by,
        lapsed: by === null && last ? (noProof(last, c) ?? 'check overdue') : null,
      };
    });
  const sum = (of: (p: Proof) => number) => troubles.reduce((s, p) => s + of(p), 0);
  const [atStake, proven] = [sum((p) => p.atStake), sum((p) => p.proven)];
  return { share: atStake > 0 ? proven / atStake : null, atStake, saved: sum((p) => p.saved), proven, troubles };
}
