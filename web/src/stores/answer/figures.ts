import type { Answer, Missing } from '@necessaire/core';

/** The figures of the readout, kept apart so that two answers can be compared. */
export interface Figures {
  reached: number;
  chosen: number;
  gaps: number;
  mass: number;
  bulk: number;
  home: number;
  atStake: number;
  /** Share of the hours at stake that is saved by proven repairs. */
  ready: number;
  /** Fasteners that the kit itself turns. */
  carried: number;
  /** What each figure still wants before it can be known; null where it is known. */
  missing: Record<FigureKey, Missing | null>;
}
/** Figures that the readout shows. */
export type FigureKey = 'reached' | 'gaps' | 'mass' | 'bulk' | 'home' | 'atStake' | 'ready';

/** The figures that an answer gives. */
export const figuresOf = (a: Answer): Figures => ({
  reached: a.reached,
  chosen: a.chosen,
  gaps: a.chosen - a.reached,
  mass: a.kit.mass,
  bulk: a.kit.bulk,
  home: a.kit.home,
  atStake: a.kit.atStake,
  ready: a.ready ?? 0,
  carried: new Set(a.fasteners.map((f) => f.id).filter((id) => a.kit.reached.includes(id))).size,
  missing: {
    reached: a.unknown.reached,
    gaps: a.unknown.reached,
    ready: a.unknown.home,
    mass: a.unknown.mass,
    bulk: a.unknown.mass,
    home: a.unknown.home,
    atStake: a.unknown.home,
  },
});
