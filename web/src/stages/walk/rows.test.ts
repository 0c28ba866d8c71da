import { describe, expect, test } from '@jest/globals';
import { STATIONS, type Fastener } from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { EVERYTHING, groupsOf, ONLY, shows, SORTS, stretch } from './rows';

const demo = demoGarage();
const mine = demo.fasteners.filter((f) => f.bikeId === demo.bikes[0]!.id);
const reached = (f: Fastener) => f.name !== 'Shock preload ring';
const names = (by: Partial<typeof EVERYTHING>) =>
  groupsOf(mine, { ...EVERYTHING, ...by }, reached).flatMap((g) => g.rows.map((f) => f.name));
const counted = mine.filter((f) => f.leftOut === null);

describe('rows of the sheet', () => {
  test('go round the bike, each counted row once', () => {
    const groups = groupsOf(mine, EVERYTHING, reached);
    expect(groups.map((g) => g.station)).toEqual(STATIONS.filter((s) => counted.some((f) => f.station === s)));
    expect(groups.flatMap((g) => g.rows)).toHaveLength(counted.length);
    for (const g of groups) expect(g.sure).toBe(g.rows.filter((f) => f.evidence !== 'assumed').length);
  });
  test('a station is shown even when nothing is there yet', () => {
    expect(groupsOf([], { ...EVERYTHING, station: 'exhaust' }, reached)).toMatchObject([
      { station: 'exhaust', rows: [] },
    ]);
  });
  test('filters', () => {
    expect(names({ only: 'out of reach' })).toEqual(['Shock preload ring']);
    expect(names({ only: 'left out' })).toHaveLength(mine.length - counted.length);
    expect(names({ only: 'inch' })).toEqual(
      expect.arrayContaining(['Phone mount', 'Rack bolt right', 'Rack stay', 'Tool tube strap']),
    );
    expect(names({ words: 'axle 27' })).toEqual(['Axle nut']);
    expect(names({ words: 'M8 pinch' })).toEqual(['Fork pinch lower']);
    expect(names({ words: 'nothing like it' })).toEqual([]);
    const all = ONLY.filter((o) => o !== 'left out').map((only) => names({ only }).length);
    expect(Math.max(...all)).toBe(counted.length);
  });
  test('sorts', () => {
    const torque = groupsOf(mine, { ...EVERYTHING, sort: 'by torque' }, reached)[0]!.rows;
    expect(torque[0]!.name).toBe('Axle nut');
    const byName = names({ sort: 'by name' });
    expect(byName).toEqual([...byName].sort((a, b) => a.localeCompare(b)));
    expect(groupsOf(mine, { ...EVERYTHING, sort: 'by evidence' }, reached)[0]!.rows[0]!.evidence).toBe('assumed');
    for (const sort of SORTS) expect(names({ sort }).sort()).toEqual(names({}).sort());
  });
  test('a stretch between two rows, either way round', () => {
    const groups = groupsOf(mine, EVERYTHING, reached);
    const ids = groups.flatMap((g) => g.rows.map((f) => f.id));
    expect(stretch(groups, ids[3]!, ids[6]!)).toEqual(ids.slice(3, 7));
    expect(stretch(groups, ids[6]!, ids[3]!)).toEqual(ids.slice(3, 7));
    expect(stretch(groups, 'gone', ids[2]!)).toEqual([ids[2]]);
  });
  test('left-out rows are shown only when asked for', () => {
    const out = mine.find((f) => f.leftOut !== null)!;
    expect(shows(out, EVERYTHING, reached)).toBe(false);
    expect(shows(out, { ...EVERYTHING, only: 'left out' }, reached)).toBe(true);
  });
});
