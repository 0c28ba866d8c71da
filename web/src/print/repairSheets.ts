import { rehearsal, type ProveCase, type Rehearsal } from '@necessaire/core';

/** Sheets that one print has at most. */
const MOST = 24;

/** Repairs of a kit as sheets, those with the most hours at stake first; or all the ways of one trouble. */
export function repairSheets(c: ProveCase, troubleId: string | null = null): Rehearsal[] {
  if (troubleId !== null) {
    const names = c.kit.mends
      .filter((m) => m.troubleId === troubleId && m.bikeId === c.bike.id)
      .flatMap((m) => m.ways.map((w) => w.name));
    return [...new Set(names)].flatMap((name) => rehearsal(c, troubleId, name) ?? []);
  }
  return c.exposures
    .filter((e) => e.atStake > 0)
    .flatMap((e) => {
      const mend = c.kit.mends.find((m) => m.troubleId === e.trouble.id && m.bikeId === c.bike.id && m.way !== null);
      return (mend && rehearsal(c, e.trouble.id, mend.wayName)) ?? [];
    })
    .slice(0, MOST);
}
