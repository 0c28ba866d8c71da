import type { CheckDue, CheckStanding, NoProof, Occasion, ProofTold, Readiness, StuckReason } from '@necessaire/core';

/** Hours and minutes as one says them. */
export const minutesText = (minutes: number): string =>
  minutes <= 0
    ? '0 min'
    : minutes < 1
      ? `${Math.round(minutes * 60)} s`
      : minutes < 100
        ? `${Math.round(minutes)} min`
        : `${(minutes / 60).toFixed(1)} h`;
export const hoursText = (hours: number): string => (hours >= 1 ? `${hours.toFixed(1)} h` : minutesText(hours * 60));
/** A clock: 4:07, 1:02:30. */
export function clockText(seconds: number): string {
  const s = Math.floor(seconds);
  const two = (n: number) => String(n).padStart(2, '0');
  return s >= 3600
    ? `${Math.floor(s / 3600)}:${two(Math.floor((s % 3600) / 60))}:${two(s % 60)}`
    : `${Math.floor(s / 60)}:${two(s % 60)}`;
}

export const STUCK_WORDS: Readonly<Record<StuckReason, { name: string; does: string }>> = {
  missing: { name: 'Something is missing', does: 'It is missing from your kits until you find or replace it.' },
  'does not fit': {
    name: 'The tool does not fit',
    does: 'The fastener’s size counts as assumed again until you measure it.',
  },
  'too weak': { name: 'The tool slips or bends', does: 'It counts as broken and is in no kit.' },
  'cannot reach': { name: 'I cannot get at it', does: 'You say how much room there is, and other tools are tried.' },
  'do not know how': {
    name: 'I do not know how',
    does: 'Your skill in this is set lower, or you add a step of your own.',
  },
  'wrong place': { name: 'It is somewhere else', does: 'You say where, and that is its place from now on.' },
};

export const NO_PROOF_WORDS: Readonly<Record<NoProof, string>> = {
  'check overdue': 'a check of what it takes is overdue or found something',
  'not finished': 'the last drill was stopped',
  dry: 'the last drill was a dry run',
  'pressed through': 'the last drill took under a tenth of the planned time',
  stuck: 'you got stuck: the kit did not do it',
  'by somebody who stays at home': 'whoever did it does not ride along',
  'with other tools': 'it was done with tools that are not in this kit',
  'long ago': 'the last drill was over a year ago',
};

export const STANDING_WORDS: Readonly<Record<CheckStanding, string>> = {
  overdue: 'overdue',
  due: 'due',
  found: 'found something',
  later: 'later',
  'on the ride': 'on the ride',
  done: 'done',
  skipped: 'skipped',
};

export const OCCASION_WORDS: Readonly<Record<Occasion, string>> = {
  'before leaving': 'before leaving',
  'each evening': 'each evening',
  'after some km': 'by distance',
  'on a date': 'on a date',
};

/** When a check is due, in a few words. */
export function whenText(k: CheckDue, km: (v: number) => string): string {
  if (k.inKm !== null) return k.inKm <= 0 ? `${km(-k.inKm)} overdue` : `in ${km(k.inKm)}`;
  if (k.due !== null && k.when !== 'each evening') return k.due;
  if (k.when === 'before leaving')
    return k.daysBefore === 1 ? 'the day before leaving' : `${k.daysBefore} days before leaving`;
  if (k.when === 'after some km' && k.everyKm !== null) return `after ${km(k.everyKm)}`;
  return OCCASION_WORDS[k.when];
}

/** The problem whose drill raises readiness fastest, with the share that it adds. */
export function raises(
  told: Pick<ProofTold, 'offers' | 'ready'>,
): { troubleId: string; name: string; share: number; minutes: number } | null {
  const best = [...told.offers]
    .filter((o) => o.proves > 0)
    .sort((a, b) => b.proves / b.minutes - a.proves / a.minutes)[0];
  return best && told.ready.atStake > 0
    ? { troubleId: best.troubleId, name: best.name, share: best.proves / told.ready.atStake, minutes: best.minutes }
    : null;
}

/** What readiness is made of, for whoever asks. */
export function readyWhy(told: ProofTold | null): {
  title: string;
  value: string;
  formula: string;
  inputs: { name: string; value: string }[];
  source: string;
  to: { path: string; label: string };
} {
  const ready: Readiness | null = told?.ready ?? null;
  const best = told ? raises(told) : null;
  return {
    title: 'Ready',
    value: ready?.share === null || !ready ? '–' : `${Math.round((ready.share ?? 0) * 100)} %`,
    formula:
      'hours saved by repairs that a rider of this trip has done with this kit on this bike within the last year ÷ hours at risk on the trip without any kit',
    inputs: ready
      ? [
          { name: 'hours at risk without any kit', value: hoursText(ready.atStake) },
          { name: 'saved by this kit, if all goes as planned', value: hoursText(ready.saved) },
          { name: 'saved by what was really done', value: hoursText(ready.proven) },
          ...ready.troubles
            .filter((p) => p.by !== null)
            .slice(0, 5)
            .map((p) => ({ name: `proven: ${p.name}`, value: hoursText(p.proven) })),
          ...(best
            ? [
                {
                  name: `raises it fastest: ${best.name}, ${minutesText(best.minutes)}`,
                  value: `+${Math.round(best.share * 100)} %`,
                },
              ]
            : []),
        ]
      : [],
    source: 'your drills and checks; rates and minutes are typical values until your own say more',
    to: { path: '/prove', label: 'Open Prove' },
  };
}
