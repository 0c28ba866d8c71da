import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { uuid } from '../testing/make.js';
import { strandedHours } from './stranded.js';
import { COMPANY, LENGTHS, REMOTENESS, tripFrom, type ThreeAnswers } from './threeAnswers.js';
import { legKm, tripDays, tripKm, tripSchema } from './trip.js';

const made = (answers: ThreeAnswers) => {
  let n = 0;
  return tripFrom(answers, 'A trip', () => uuid(++n));
};
const anyAnswers = fc.record({
  length: fc.constantFrom(...LENGTHS),
  remoteness: fc.constantFrom(...REMOTENESS),
  company: fc.constantFrom(...COMPANY),
});
const worst = (t: ReturnType<typeof made>) => Math.max(...t.legs.map((l) => strandedHours(l, t).total));

describe('a trip in three answers', () => {
  test('worked: a week in the hills with some friends', () => {
    const t = made({ length: 'week', remoteness: 'hills', company: 'some' });
    expect(t.companions).toBe(2);
    expect(t.legs.map((l) => [l.name, l.days, l.km.paved, l.km.gravel, l.km.track])).toEqual([
      ['Way out', 1, 110, 70, 20],
      ['Out there', 5, 240, 360, 200],
      ['Way home', 1, 110, 70, 20],
    ]);
    expect(t.legs.map((l) => [l.helpKm, l.workshopKm, l.signal, l.crossings])).toEqual([
      [5, 35, true, 0],
      [12, 70, false, 5],
      [5, 35, true, 0],
    ]);
    expect([t.recovery, t.coverKm, t.callOut]).toEqual(['service', 100, 3]);
    expect(tripDays(t)).toBe(7);
  });
  test('each is a whole trip with ids of its own', () => {
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const t = made(answers);
        expect(tripSchema.safeParse(t).success).toBe(true);
        expect(new Set([t.id, ...t.legs.map((l) => l.id)]).size).toBe(t.legs.length + 1);
        for (const leg of t.legs) expect(Math.abs(legKm(leg) - leg.km.paved - leg.km.gravel - leg.km.track)).toBe(0);
      }),
    );
  });
  test('longer is further and never shorter; farther from help strands longer; where nobody lives nobody fetches', () => {
    for (const remoteness of REMOTENESS)
      for (const company of COMPANY) {
        const km = LENGTHS.map((length) => tripKm(made({ length, remoteness, company })));
        expect(km).toEqual([...km].sort((a, b) => a - b));
        expect(new Set(km).size).toBe(km.length);
      }
    for (const length of LENGTHS) {
      const hours = REMOTENESS.map((remoteness) => worst(made({ length, remoteness, company: 'alone' })));
      expect(hours).toEqual([...hours].sort((a, b) => a - b));
      expect(made({ length, remoteness: 'nobody', company: 'alone' }).recovery).toBe('nobody');
    }
    // Where help is an hour’s walk away nobody spends a night out for it.
    expect(worst(made({ length: 'day', remoteness: 'town', company: 'alone' }))).toBeLessThan(5);
  });
  test('no company, some, a group', () => {
    expect(COMPANY.map((company) => made({ length: 'day', remoteness: 'farms', company }).companions)).toEqual([
      0, 2, 5,
    ]);
  });
});
