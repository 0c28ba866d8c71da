import { beforeAll, describe, expect, test } from '@jest/globals';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { answerFor, proofTold, proveCaseOf, type CheckDue } from '@necessaire/core';
import { calendarWords, checkWords, said } from './index.js';

const TODAY = '2026-06-01';
const doc = demoGarage('lightest', TODAY);
let checks: CheckDue[];
beforeAll(async () => {
  const question = { bikeId: doc.bikes[0]!.id, tripId: doc.trips[0]!.id, today: TODAY };
  const answer = answerFor(doc, question, await loadSolver());
  checks = proofTold(doc, proveCaseOf(doc, question, answer, TODAY)).checks;
});

describe('checks in words', () => {
  test('each has a name, a way to do it and a reason, in whole sentences', () => {
    expect(checks.length).toBeGreaterThan(20);
    for (const k of checks) {
      const { name, how, why } = checkWords(k.about);
      expect(name.length).toBeGreaterThan(2);
      expect([k.key, said('metric', how)]).toEqual([k.key, expect.stringMatching(/^\p{Lu}.{14,}$/su)]);
      expect(why).toMatch(/^\p{Lu}.*\.$/u);
    }
  });
  test('what can hurt has its caution', () => {
    const caution = (key: string) => checkWords(checks.find((k) => k.key === key)!.about).caution;
    expect(caution('front-brake')).toContain('brakes');
    expect(caution('lashings')).toContain('stops a wheel dead');
    expect(caution('coolant')).toContain('scalds');
    expect(caution('papers')).toBe('');
    const charge = { code: 'check.charge' as const, name: 'Pack', everyDays: 90, lithium: true };
    expect(checkWords(charge).caution).toContain('swollen');
    expect(checkWords({ ...charge, lithium: false }).caution).toBe('');
    const marks = { code: 'check.marks' as const, station: 'front-wheel' as const, names: ['Axle nut'] };
    expect(checkWords({ ...marks, critical: true }).caution).toContain('brakes');
    expect(checkWords({ ...marks, critical: false }).caution).toBe('');
  });
  test('long lists are counted: five marks, eight things to buy', () => {
    const names = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H', 'I', 'J'];
    const how = (about: CheckDue['about']) => said('metric', checkWords(about).how);
    expect(how({ code: 'check.marks', station: 'engine', names, critical: false })).toContain(
      'A, B, C, D, E and 5 more.',
    );
    expect(how({ code: 'check.no-place', names: ['A', 'B'] })).toBe('No place was found for A, B: look at Stow.');
    const things = names.map((name, i) => ({ name, count: i === 0 ? 2 : 1 }));
    expect(how({ code: 'check.buy', things })).toContain('A ×2, B, C, D, E, F, G, H and 2 more.');
    expect(how({ code: 'check.lashings', places: names })).toContain('of A, B, C, D, E;');
  });
  test('what is watched says how long it is good for, in the units on show, and when that has ended', () => {
    const watch = {
      code: 'check.watch' as const,
      ...{
        name: 'Plug',
        why: 'held by a string',
        everyKm: 30,
        lastsKm: 150,
        lastsKmh: 80,
        ended: false,
        caution: 'Slow.',
      },
    };
    expect(checkWords(watch)).toMatchObject({ name: 'Look again: Plug', caution: 'Slow.' });
    const how = (more: object) => said('metric', checkWords({ ...watch, ...more }).how);
    expect(how({})).toBe('held by a string. Look at it every 30 km. Good for 150 km at no more than 80 km/h.');
    expect(how({ lastsKmh: null })).toBe('held by a string. Look at it every 30 km. Good for 150 km in all.');
    expect(how({ lastsKm: null })).toBe('held by a string. Look at it every 30 km.');
    expect(how({ ended: true })).toMatch(/has ended: have it replaced before you ride on\.$/u);
    expect(said('inch', checkWords(watch).how)).toContain('every 19 mi. Good for 93 mi at no more than 50 mph.');
  });
  test('work that falls due, lent things, gauges, dates and the rider’s own', () => {
    const due = { code: 'due.interval' as const, km: { every: 500, gone: 600, dust: 1 }, hours: null, days: null };
    const service = { code: 'check.service' as const, name: 'Chain oil', due };
    expect(said('metric', checkWords({ ...service, overdue: true }).how)).toMatch(
      /^It is overdue: .* every 500 km, 600 km gone/u,
    );
    expect(said('metric', checkWords({ ...service, overdue: false }).how)).toMatch(/^It falls due on the trip: /u);
    const loan = { code: 'check.loan' as const, name: 'Pump', to: 'Ada', on: TODAY };
    expect(checkWords(loan)).toMatchObject({ name: 'Get back: Pump' });
    expect(said('metric', checkWords(loan).how)).toContain('Lent to Ada on 2026-06-01.');
    expect(said('metric', checkWords({ ...loan, to: '' }).how)).toContain('Lent to somebody on');
    expect(checkWords({ ...loan, to: 'missing' }).name).toBe('Find or replace: Pump');
    expect(said('metric', checkWords({ code: 'check.gauge', comparedOn: TODAY }).how)).toContain(
      'Compared on 2026-06-01.',
    );
    expect(said('metric', checkWords({ code: 'check.gauge', comparedOn: null }).how)).toContain('Air then says');
    expect(said('metric', checkWords({ code: 'check.date', name: 'Glue', until: '2027-01-10' }).how)).toContain(
      '2027-01-10',
    );
    expect(checkWords({ code: 'check.own', name: 'Mine', how: 'Look.' })).toMatchObject({
      name: 'Mine',
      why: 'Your own.',
    });
    expect(said('inch', checkWords({ code: 'check.first-stop', km: 100 }).how)).toMatch(/^Stop after 62 mi:/u);
    expect(said('metric', checkWords({ code: 'check.fuel-water', gap: true }).how)).toContain('approved cans');
    expect(said('metric', checkWords({ code: 'check.fuel-water', gap: false }).how)).toBe(
      'Fill up, and fill the bottles.',
    );
  });
  test('a calendar has all of it as plain text', () => {
    const { name, text } = calendarWords('metric')({ about: { code: 'check.sealant' } });
    expect(name).toBe('Sealant still wet');
    expect(text.split('\n')).toEqual([
      expect.stringMatching(/^Turn the valve/u),
      'It dries within a year and seals nothing then.',
      expect.stringMatching(/^A valve core flies out/u),
    ]);
    expect(calendarWords('metric')({ about: { code: 'check.card' } }).text.split('\n')).toHaveLength(2);
  });
});
