import { describe, expect, test } from '@jest/globals';
import { readGpx } from './gpx.js';
import { makeRoute, routeSchema } from './route.js';

const gpx = (inside: string) => `<?xml version="1.0"?><gpx version="1.1">${inside}</gpx>`;
const at = (what: string, lat: number | string, lon: number | string, more = '') =>
  `<${what} lat="${lat}" lon="${lon}">${more}</${what}>`;
const read = (inside: string) => {
  const r = readGpx(gpx(inside));
  if (!r.ok) throw new Error(r.message);
  return r.file;
};
const refused = (text: string) => {
  const r = readGpx(text);
  return r.ok ? 'read' : r.message;
};

describe('what a file calls things', () => {
  const track = (name: string) => `<trk>${name}<trkseg>${at('trkpt', 1, 2)}</trkseg></trk>`;
  test('the name is the first track’s or route’s own, not that of the file, of a point or of something inside', () => {
    expect(read(`<metadata><name>File</name></metadata>${track('<name> Ride </name>')}`).name).toBe('Ride');
    expect(read(track('<extensions><name>Inner</name></extensions>')).name).toBe('');
    expect(
      read(`${at('wpt', 1, 2, '<name>Spring</name>')}${track('<name> </name>')}${track('<name>Second</name>')}`).name,
    ).toBe('Second');
    expect(read(`<rte><name>Drawn</name>${at('rtept', 1, 2)}</rte>`).name).toBe('Drawn');
    expect(read(track(`<name>${'long '.repeat(100)}</name>`)).name.length).toBeLessThanOrEqual(200);
    expect(read(track('<desc>Words</desc>')).name).toBe('');
  });
  test('a named point of a route is a waypoint too, one of a track is not', () => {
    const more = '<name>Ford</name><sym>Water</sym><type>crossing</type><desc>deep</desc>';
    expect(read(`<rte>${at('rtept', 1, 2, more)}${at('rtept', 3, 4)}</rte>`).waypoints).toEqual([
      { lat: 1, lon: 2, name: 'Ford', kind: 'Water crossing' },
    ]);
    expect(read(`<trk><trkseg>${at('trkpt', 1, 2, more)}</trkseg></trk>`).waypoints).toEqual([]);
    expect(read(at('wpt', 1, 2, '<extensions><sym>inside</sym></extensions><type>hut</type>')).waypoints).toEqual([
      { lat: 1, lon: 2, name: 'Waypoint', kind: 'hut' },
    ]);
  });
  test('tracks come before routes; a second segment or route begins anew', () => {
    const seg = (n: number) => `<trkseg>${at('trkpt', n, 0)}${at('trkpt', n, 1)}</trkseg>`;
    const rte = (n: number) => `<rte>${at('rtept', n, 0)}${at('rtept', n, 1)}</rte>`;
    const begins = (inside: string) => read(inside).points.map((p) => [p.lat, p.begins ?? false]);
    expect(begins(`${rte(7)}<trk>${seg(1)}${seg(2)}</trk>`)).toEqual([
      [1, false],
      [1, false],
      [2, true],
      [2, false],
    ]);
    expect(begins(`${rte(7)}${rte(8)}`)).toEqual([
      [7, false],
      [7, false],
      [8, true],
      [8, false],
    ]);
  });
  test('heights and times that are none are left away', () => {
    const heights = ['', 'high', '12000', '-12000', '11999.5', '-3'].map((e) => `<ele>${e}</ele>`);
    const { points } = read(`<trk><trkseg>${heights.map((h, i) => at('trkpt', i, 0, h)).join('')}</trkseg></trk>`);
    expect(points.map((p) => p.ele)).toEqual([null, null, null, null, 11_999.5, -3]);
    const times = ['2026-06-01T08:00:00Z', 'morning', ''].map((t) => `<time>${t}</time>`);
    const timed = read(`<trk><trkseg>${times.map((t, i) => at('trkpt', i, 0, t)).join('')}</trkseg></trk>`);
    expect(timed.points.map((p) => p.time)).toEqual(['2026-06-01T08:00:00Z', null, null]);
  });
});

describe('what is refused says where, and what to do', () => {
  test('points off the earth and points without a place, counted over all kinds', () => {
    expect(refused(gpx(at('wpt', 90, -180)))).toBe('read');
    expect(refused(gpx(at('wpt', 90.1, 0)))).toMatch(/^point 1 lies at lat 90.1, beyond 90°/u);
    expect(refused(gpx(at('wpt', 0, -180.5)))).toMatch(/^point 1 lies at lon -180.5, beyond 180°/u);
    const before = `<trk><trkseg>${at('trkpt', 1, 1)}</trkseg></trk><rte>${at('rtept', 1, 1)}</rte>${at('wpt', 1, 1)}`;
    expect(refused(gpx(before + at('wpt', ' ', 1)))).toMatch(/^point 4 has no lat/u);
    expect(refused(gpx(before + at('wpt', 1, 'east')))).toMatch(/^point 4 has no lon/u);
    expect(refused(gpx('<wpt lat="1"/>'))).toMatch(/^point 1 has no lon/u);
  });
  test('as deep, as many waypoints and as large as it may be, and no more', () => {
    const deep = (n: number) => '<a>'.repeat(n) + '</a>'.repeat(n);
    expect(refused(gpx(deep(39)))).toMatch(/neither track, route nor waypoint/u);
    expect(refused(gpx(deep(40)))).toMatch(/nested too deep/u);
    const many = (n: number) => gpx(at('wpt', 1, 1).repeat(n));
    expect(refused(many(5000))).toBe('read');
    expect(refused(many(5001))).toMatch(/^over 5000 waypoints/u);
    const most = 64 * 1024 * 1024;
    expect(refused(' '.repeat(most))).toBe('the file is empty');
    expect(refused(' '.repeat(most + 1))).toBe('the file is over 64 MB: split it');
  });
  test('other files by the name of what they are, broken ones by what is broken and not by its place', () => {
    expect(refused('<kml></kml>')).toMatch(/^this is kml, not GPX/u);
    expect(refused(`<${'x'.repeat(99)}/>`)).toMatch(/^this is x{30}, not GPX/u);
    for (const lines of [0, 12])
      expect(refused(`${'\n'.repeat(lines)}<gpx>${' '.repeat(lines)}<trk>`)).toMatch(
        /^it is not whole XML \(unclosed tag: \w+\.?\): export it again$/u,
      );
    expect(refused('<!-- nothing -->')).toMatch(/^it is not whole XML/u);
    expect(refused('words')).toMatch(/^it is not whole XML/u);
  });
});

test('marks of a route have names that can be shown, and heights are kept where there are any', () => {
  const ends = [
    { lat: 0, lon: 0, ele: null, time: null },
    { lat: 0, lon: 0.1, ele: 12.34, time: null },
  ];
  const named = (name: string) => ({ lat: 0, lon: 0, name, kind: '' });
  const route = makeRoute('Ride', ends, [named('A\u0000B'), named('\u0007 '), named('long '.repeat(60))])!;
  // A height that is missing is taken from beside it; where there is none at all there is none.
  expect(route.points.map((p) => p[2])).toEqual([12.3, 12.3]);
  const flat = ends.map((p) => ({ ...p, ele: null }));
  expect(makeRoute('Ride', flat, [])!.points.map((p) => p[2])).toEqual([null, null]);
  expect(route.marks.map((m) => m.name.slice(0, 9))).toEqual(['A B', 'Waypoint', 'long long']);
  expect(route.marks[2]!.name).toHaveLength(120);
  const crowded = makeRoute(
    'Ride',
    ends,
    Array.from({ length: 6000 }, () => named('Here')),
  )!;
  expect(routeSchema.safeParse(crowded).error).toBeUndefined();
  expect(crowded.marks.length).toBeLessThan(6000);
});
