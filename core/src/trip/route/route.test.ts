import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { apart } from './geo.js';
import { readGpx, type TrackPoint } from './gpx.js';
import { HelpFinder, helpProfile } from './help.js';
import {
  climbOf,
  kindsOf,
  makeRoute,
  MARK_KINDS,
  measured,
  MOST_ROUTE_POINTS,
  routeKm,
  routeSchema,
  spotsAlong,
  type Mark,
  type Route,
} from './route.js';
import { marksOnTheWay, sectionsOf } from './sections.js';

const gpx = (inside: string) =>
  `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${inside}</gpx>`;
const trkpt = (lat: number, lon: number, more = '') => `<trkpt lat="${lat}" lon="${lon}">${more}</trkpt>`;
const track = (...points: string[]) => gpx(`<trk><name>Ride</name><trkseg>${points.join('')}</trkseg></trk>`);
const refused = (text: string) => {
  const read = readGpx(text);
  return read.ok ? 'read' : read.message;
};
const at = (lat: number, lon: number, ele: number | null = null, time: string | null = null): TrackPoint => ({
  lat,
  lon,
  ele,
  time,
});

describe('distance', () => {
  test('worked values: a degree of latitude, a quarter round the earth, over the date line, at the pole', () => {
    expect(apart({ lat: 0, lon: 0 }, { lat: 1, lon: 0 })).toBeCloseTo(111.195, 2);
    expect(apart({ lat: 0, lon: 0 }, { lat: 0, lon: 90 })).toBeCloseTo(10_007.56, 1);
    expect(apart({ lat: 0, lon: 179.5 }, { lat: 0, lon: -179.5 })).toBeCloseTo(111.195, 2);
    expect(apart({ lat: 90, lon: 0 }, { lat: 90, lon: 123 })).toBeCloseTo(0, 6);
    expect(apart({ lat: 90, lon: 0 }, { lat: -90, lon: 0 })).toBeCloseTo(20_015.11, 1);
  });
  test('equals the spherical law of cosines wherever that is exact enough', () => {
    const spot = fc.record({
      lat: fc.double({ min: -90, max: 90, noNaN: true }),
      lon: fc.double({ min: -180, max: 180, noNaN: true }),
    });
    fc.assert(
      fc.property(spot, spot, (a, b) => {
        const r = Math.PI / 180;
        const c =
          Math.sin(a.lat * r) * Math.sin(b.lat * r) +
          Math.cos(a.lat * r) * Math.cos(b.lat * r) * Math.cos((b.lon - a.lon) * r);
        expect(Math.abs(apart(a, b) - 6371.0088 * Math.acos(Math.max(-1, Math.min(1, c))))).toBeLessThan(0.2);
      }),
    );
  });
});

describe('GPX', () => {
  test('tracks, names, heights, times, waypoints with what they are', () => {
    const read = readGpx(
      gpx(
        '<wpt lat="1" lon="2"><name>Varn</name><sym>City</sym></wpt><trk><name>Over the top</name><trkseg>' +
          trkpt(1, 2, '<ele>100.5</ele><time>2026-05-01T10:00:00Z</time>') +
          trkpt(1.1, 2, '<ele>x</ele>') +
          '</trkseg></trk><rte><rtept lat="9" lon="9"/></rte>',
      ),
    );
    expect(read).toEqual({
      ok: true,
      file: {
        name: 'Over the top',
        points: [at(1, 2, 100.5, '2026-05-01T10:00:00Z'), at(1.1, 2)],
        waypoints: [{ lat: 1, lon: 2, name: 'Varn', kind: 'City' }],
      },
    });
  });
  test('a route stands in where there is no track, its named points as marks', () => {
    const read = readGpx(
      gpx('<rte><rtept lat="1" lon="2"><name>Fuel at Lerrig</name></rtept><rtept lat="1" lon="3"/></rte>'),
    );
    expect(read.ok && [read.file.points.length, read.file.waypoints.map((w) => w.name)]).toEqual([
      2,
      ['Fuel at Lerrig'],
    ]);
  });
  test.each([
    ['empty', '  ', /empty/],
    ['no XML', 'hello', /not whole XML/],
    ['cut short', track(trkpt(1, 2)).slice(0, 120), /not whole XML/],
    ['another format', '<kml></kml>', /this is kml, not GPX/],
    ['nothing in it', gpx(''), /neither track, route nor waypoint/],
    ['beyond the pole', track(trkpt(91, 0)), /lat 91, beyond 90°/],
    ['no longitude', gpx('<trk><trkseg><trkpt lat="1"/></trkseg></trk>'), /point 1 has no lon/],
    ['infinite', track('<trkpt lat="1e999" lon="0"/>'), /has no lat/],
    ['nested deep', gpx('<a>'.repeat(100)), /nested too deep/],
    [
      'entities that grow',
      `<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;">]>${gpx('<trk><name>&b;</name></trk>')}`,
      /document type/,
    ],
    ['an entity of its own', gpx('<trk><name>&lol;</name></trk>'), /not whole XML/],
  ])('%s is refused with what to do', (_what, text, message) => {
    expect(refused(text)).toMatch(message);
  });
  test('too many points are refused', () => {
    const many = Array.from({ length: 250_001 }, (_, i) => `<trkpt lat="1" lon="${(i % 1000) / 1000}"/>`);
    expect(refused(track(many.join('')))).toMatch(/over 250,000 points/);
  }, 30_000);
  test('no text makes it throw', () => {
    const whole = track(trkpt(1, 2, '<ele>5</ele>'), trkpt(1.5, 2));
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), fc.nat(whole.length), fc.nat(20), (junk, from, length) => {
        readGpx(junk);
        readGpx(whole.slice(0, from) + junk + whole.slice(from + length));
      }),
      { numRuns: 400 },
    );
  });
});

describe('a track measured', () => {
  test('duplicates count for nothing; heights between known ones follow the way', () => {
    const { points, km } = measured([at(0, 0, 100), at(0, 0), at(0, 0.5), at(0, 1, 200), at(0, 2)]);
    expect(points.map((p) => p.ele)).toEqual([100, expect.closeTo(150, 6), 200, 200]);
    expect(km).toBeCloseTo(2 * 111.195, 2);
  });
  test('climb: ups that are no noise, each from its lowest to its highest point', () => {
    const climb = (...heights: (number | null)[]) => climbOf(heights.map((ele) => ({ ele })));
    expect(climb(null, null)).toBeNull();
    expect(climb(100, 200, 150, 250)).toBe(200);
    expect(climb(100, 103, 99, 104, 100)).toBe(0);
    expect(climb(300, 100)).toBe(0);
    expect(climb(0, 50, 45, 100)).toBe(100);
  });
  test('climb to the metre: eight metres are noise, nine are none; heights that are not known are stepped over', () => {
    const climb = (...heights: (number | null)[]) => climbOf(heights.map((ele) => ({ ele })));
    expect([climb(100, 108, 100), climb(100, 109, 100), climb(100, 108), climb(100, 109)]).toEqual([0, 9, 0, 9]);
    // A fall of eight goes on climbing, one of nine ends the climb at its top.
    expect([climb(100, 120, 112, 130), climb(100, 120, 111, 130)]).toEqual([30, 20 + 19]);
    // A climb that was noise is forgotten with the fall that ends it; a small fall starts the next one lower.
    expect([climb(100, 105, 90, 99), climb(100, 95, 104), climb(100, 92, 101, 92, 101)]).toEqual([9, 9, 9 + 9]);
    expect([climb(null, 100, null, 110, null), climb(), climb(100)]).toEqual([10, null, 0]);
    expect([
      climbOf([{ ele: 0 }, { ele: 3 }, { ele: 1 }, { ele: 2 }], 0),
      climbOf([{ ele: 0 }, { ele: 3 }], 3),
    ]).toEqual([4, 0]);
  });
  test('never climbs less than from start to end, never more than all steps up', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 2, maxLength: 40 }), (heights) => {
        const climb = climbOf(heights.map((ele) => ({ ele })))!;
        const steps = heights.reduce((s, h, i) => s + Math.max(0, h - (heights[i - 1] ?? h)), 0);
        expect(climb).toBeLessThanOrEqual(steps);
        expect(climb).toBeGreaterThanOrEqual(heights.at(-1)! - heights[0]! - 16);
      }),
    );
  });
  test('a long track is thinned to what a row holds; its length, ends and corners stay', () => {
    const long = Array.from({ length: 30_000 }, (_, i) =>
      at(i < 15_000 ? i * 1e-4 : 1.5, i < 15_000 ? 10 : 10 + (i - 15_000) * 1e-4, 500 + 200 * Math.sin(i / 900)),
    );
    const route = makeRoute('Long', long, [])!;
    expect(routeSchema.safeParse(route).success).toBe(true);
    expect(route.points.length).toBe(MOST_ROUTE_POINTS);
    expect(routeKm(route)).toBeCloseTo(measured(long).km, 3);
    const corner = route.points.reduce(
      (a, p) => Math.min(a, apart({ lat: p[0], lon: p[1] }, { lat: 1.5, lon: 10 })),
      Infinity,
    );
    expect(corner).toBeLessThan(0.2);
    expect(climbOf(route.points.map((p) => ({ ele: p[2] })))! / route.climb!).toBeCloseTo(1, 1);
  }, 20_000);
  test('one point, or the same one over and over, is no route', () => {
    expect(makeRoute('x', [at(1, 1), at(1, 1)], [])).toBeNull();
  });
  test('what a waypoint is good for follows from its words', () => {
    expect(kindsOf({ name: 'Petrol', kind: '' })).toEqual(['fuel']);
    expect(kindsOf({ name: 'Sill', kind: 'City' })).toEqual(['signal', 'shop', 'road-head']);
    expect(kindsOf({ name: 'Hut', kind: 'Lodging' })).toEqual(['shelter']);
    expect(kindsOf({ name: 'Photo', kind: 'Flag' })).toEqual([]);
  });
});

const mark = (lat: number, lon: number, name: string, ...kinds: Mark['kinds']): Mark => ({ lat, lon, name, kinds });
/** East along the equator, so that a degree is 111.195 km. */
const straight = (marks: Mark[], degrees = 1): Route => ({
  ...makeRoute('Straight', [at(0, 0, 0), at(0, degrees, 0)], [])!,
  marks,
  dayEnds: [40],
});

describe('help along the way', () => {
  test('the nearest mark is the one that looking at every mark finds, over the date line and near the poles too', () => {
    const spot = {
      lat: fc.double({ min: -89.5, max: 89.5, noNaN: true }),
      lon: fc.double({ min: -180, max: 180, noNaN: true }),
    };
    fc.assert(
      fc.property(
        fc.array(fc.record({ ...spot, kinds: fc.subarray([...MARK_KINDS], { minLength: 1, maxLength: 2 }) }), {
          minLength: 1,
          maxLength: 30,
        }),
        fc.array(fc.record(spot), { minLength: 1, maxLength: 8 }),
        (places, spots) => {
          const marks = places.map((p, i) => mark(p.lat, p.lon, `m${i}`, ...p.kinds));
          const finder = new HelpFinder(marks);
          for (const s of spots)
            for (const kind of MARK_KINDS) {
              const of = marks.filter((m) => m.kinds.includes(kind));
              const best = of.length > 0 ? Math.min(...of.map((m) => apart(s, m))) : null;
              const found = finder.nearest(s, kind);
              if (best === null) expect(found).toBeNull();
              else expect(Math.abs(found!.km - best)).toBeLessThan(1e-6 * (1 + best));
            }
        },
      ),
      { numRuns: 150 },
    );
  });
  test('the worst stretch between two workshops lies half way', () => {
    const route = straight([mark(0, 0, 'A', 'workshop'), mark(0, 1, 'B', 'workshop')]);
    const worst = helpProfile(route).reduce((a, b) => (b.help.workshop!.km > a.help.workshop!.km ? b : a));
    expect(worst.km).toBeCloseTo(55.6, 0);
    expect(worst.help.workshop!.km).toBeCloseTo(55.6 * 1.4, 0);
    expect(worst.help.fuel).toBeUndefined();
  });
  test('marks on the way in order, one passed twice comes twice', () => {
    const out = makeRoute('Out and back', [at(0, 0), at(0, 0.5), at(0, 0)], [])!;
    const passes = marksOnTheWay({ ...out, marks: [mark(0, 0.2, 'Pump', 'fuel'), mark(0.1, 0.2, 'Far off', 'fuel')] });
    expect(passes.map((p) => [p.mark.name, Math.round(p.km)])).toEqual([
      ['Pump', 22],
      ['Pump', 89],
    ]);
  });
  test('sections by day and by mark, with what is worst on each', () => {
    const route = straight([mark(0, 0.5, 'Pump', 'fuel'), mark(0.05, 1, 'Town', 'signal', 'workshop')]);
    const days = sectionsOf(route, 'day');
    expect(days.map((s) => [s.name, Math.round(s.from), Math.round(s.to)])).toEqual([
      ['Day 1', 0, 40],
      ['Day 2', 40, 111],
    ]);
    expect(days[0]!.workshopKm!).toBeCloseTo(Math.hypot(111.195, 5.56) * 1.4, 0);
    expect(days[0]!.fuelGap!).toBeCloseTo(55.6, 0);
    expect(days.every((s) => !s.signal)).toBe(true);
    const byMark = sectionsOf(route, 'mark');
    expect(byMark.map((s) => s.name)).toEqual(['To Pump', 'To the end']);
    expect(sectionsOf({ ...route, marks: [] }, 'day')[0]).toMatchObject({
      helpKm: null,
      workshopKm: null,
      fuelGap: null,
      signal: false,
    });
  });
  test('spots between kept points are no farther apart than the step', () => {
    const spots = spotsAlong(straight([]));
    for (let i = 1; i < spots.length; i++) expect(spots[i]!.km - spots[i - 1]!.km).toBeLessThanOrEqual(0.5 + 1e-9);
    const over = spotsAlong({
      ...straight([]),
      points: [
        [0, 179.9, null, 0],
        [0, -179.9, null, 22.24],
      ],
    });
    expect(over.every((s) => Math.abs(s.lon) >= 179.9)).toBe(true);
  });
  test('spots between two points part their way, their height and the way round evenly', () => {
    const spots = (...points: Route['points']) => spotsAlong({ ...straight([]), points });
    const between = (...points: Route['points']) => spots(...points).map((s) => [s.lat, s.lon, s.ele, s.km]);
    expect(between([10, 20, 100, 1], [11, 24, 180, 3])).toEqual([
      [10, 20, 100, 1],
      [10.25, 21, 120, 1.5],
      [10.5, 22, 140, 2],
      [10.75, 23, 160, 2.5],
      [11, 24, 180, 3],
    ]);
    // Over the date line, either way; half a kilometre needs no spot between.
    const lons = (from: number, to: number) => spots([0, from, null, 0], [0, to, null, 1.5]).map((s) => s.lon);
    expect(lons(179, -178).map((l) => Math.round(l * 1e6) / 1e6)).toEqual([179, 180, -179, -178]);
    expect(lons(-179, 178).map((l) => Math.round(l * 1e6) / 1e6)).toEqual([-179, -180, 179, 178]);
    expect(lons(178, 179).map((l) => Math.round(l * 1e3) / 1e3)).toEqual([178, 178.333, 178.667, 179]);
    expect(spots([0, 0, null, 0], [0, 1, 50, 0.5])).toHaveLength(2);
    const heights = (a: number | null, b: number | null) => spots([0, 0, a, 0], [0, 1, b, 1]).map((s) => s.ele);
    expect([heights(null, 50), heights(50, null), heights(50, 60), heights(null, null)]).toEqual([
      [null, null, 50],
      [50, null, null],
      [50, 55, 60],
      [null, null, null],
    ]);
  });
});

describe('files as devices write them', () => {
  const trk = (...segments: string[]) =>
    gpx(`<trk><name><![CDATA[Ride & return]]></name>${segments.map((x) => `<trkseg>${x}</trkseg>`).join('')}</trk>`);
  test('names in CDATA are read', () => {
    const read = readGpx(trk(trkpt(50, 8), trkpt(50.1, 8)));
    expect(read.ok && read.file.name).toBe('Ride & return');
    const wpt = readGpx(gpx('<wpt lat="1" lon="2"><name><![CDATA[Fuel <24h>]]></name></wpt>'));
    expect(wpt.ok && wpt.file.waypoints[0]!.name).toBe('Fuel <24h>');
  });
  test('prefixed elements are the same elements', () => {
    const text =
      '<?xml version="1.0"?><g:gpx xmlns:g="http://www.topografix.com/GPX/1/1"><g:trk><g:name>P</g:name><g:trkseg>' +
      '<g:trkpt lat="1" lon="2"><g:ele>7</g:ele></g:trkpt><g:trkpt lat="1.1" lon="2"/></g:trkseg></g:trk></g:gpx>';
    const read = readGpx(text);
    expect(read.ok && read.file).toMatchObject({ name: 'P', points: [{ lat: 1, lon: 2, ele: 7 }, { lat: 1.1 }] });
  });
  test('an elevation inside extensions is not the point’s own', () => {
    const inner =
      '<ele>100</ele><extensions><x><ele>999</ele><name>no</name><time>2020-01-01T00:00:00Z</time></x></extensions>';
    const read = readGpx(trk(trkpt(50, 8, inner), trkpt(50.1, 8)));
    expect(read.ok && read.file.points[0]).toMatchObject({ ele: 100, time: null });
  });
  test('a gap between segments was not ridden', () => {
    const read = readGpx(trk(trkpt(50, 8) + trkpt(50.1, 8), trkpt(51, 8) + trkpt(51.1, 8)));
    if (!read.ok) throw new Error(read.message);
    const once = apart({ lat: 50, lon: 8 }, { lat: 50.1, lon: 8 });
    expect(routeKm(makeRoute('x', read.file.points, [])!)).toBeCloseTo(2 * once, 2);
    for (const spot of spotsAlong(makeRoute('x', read.file.points, [])!))
      expect(spot.lat <= 50.1001 || spot.lat >= 50.9999).toBe(true);
  });
});

describe('days of a track', () => {
  /** A ride along a meridian at so many km/h, with rests at hours after its start, in UTC. */
  const ride = (start: string, lon: number, hours: number, rests: [after: number, hours: number][] = []) => {
    const points: TrackPoint[] = [];
    let ms = Date.parse(start);
    for (let i = 0; i <= hours * 12; i++) {
      points.push(at(-30 + i * 0.02, lon, null, new Date(ms).toISOString()));
      ms += 300_000;
      const rest = rests.find(([after]) => Math.abs(after * 12 - i) < 0.5);
      if (rest) ms += rest[1] * 3_600_000;
    }
    return makeRoute('x', points, [])!;
  };
  test('one ride at UTC+10 that passes midnight in Greenwich is one day', () => {
    expect(ride('2026-05-01T20:00:00Z', 150, 8).dayEnds).toEqual([]);
  });
  test('a night’s rest ends the day, wherever midnight falls', () => {
    const route = ride('2026-05-01T08:00:00Z', 0, 14, [[7, 10]]);
    expect(route.dayEnds).toHaveLength(1);
    expect(route.dayEnds[0]!).toBeCloseTo(routeKm(route) / 2, -1);
    // A late arrival after midnight: the day ends where the rest is.
    const late = ride('2026-05-01T16:00:00Z', 0, 14, [[9, 7]]);
    expect(late.dayEnds).toHaveLength(1);
    expect(late.dayEnds[0]! / routeKm(late)).toBeCloseTo(9 / 14, 1);
  });
  test('a ride through the night is cut at the sun’s midnight', () => {
    const through = ride('2026-05-01T20:00:00Z', 0, 8);
    expect(through.dayEnds).toHaveLength(1);
    expect(through.dayEnds[0]! / routeKm(through)).toBeCloseTo(0.5, 1);
  });
  test('legs by mark share the days of the ride', () => {
    const route = ride('2026-05-01T08:00:00Z', 0, 8);
    const marks: Mark[] = [1, 2, 3, 4, 5, 6].map((i) => ({
      lat: -30 + (i * 0.02 * 96) / 7,
      lon: 0,
      name: `M${i}`,
      kinds: [],
    }));
    const sections = sectionsOf({ ...route, marks }, 'mark');
    expect(sections.length).toBe(7);
    expect(sections.reduce((s, x) => s + x.days, 0)).toBeCloseTo(1, 6);
    for (const s of sectionsOf(ride('2026-05-01T08:00:00Z', 0, 14, [[7, 10]]), 'day')) expect(s.days).toBeCloseTo(1, 6);
  });
});

describe('what a waypoint is taken for', () => {
  const cases: [name: string, kind: string, kinds: string[]][] = [
    ['Water tank', '', []],
    ['Pumpkin farm', '', []],
    ['Cityscape view', '', []],
    ['Chute', '', []],
    ['Broadway', '', []],
    ['Petrol', '', ['fuel']],
    ['Ossel', 'Gas Station', ['fuel']],
    ['Old petrol pump, museum', 'Lodging', ['shelter']],
    ['Lower village', '', ['signal', 'shop', 'road-head']],
    ['Camp by the road', '', ['shelter', 'road-head']],
  ];
  test.each(cases)('%s (%s)', (name, kind, kinds) => expect(kindsOf({ name, kind })).toEqual(kinds));
});
