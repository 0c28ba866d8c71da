import fc from 'fast-check';
import { expect, test } from '@jest/globals';
import { fastenerSchema } from '../../bike/index.js';
import { fastener, owned } from '../../testing/make.js';
import { combinationSpanner, extension, ratchet, socket } from '../tools/index.js';
import { failsOf } from './fails.js';
import { ChainFinder } from './find.js';
import { endsOf, reachOf } from './operation.js';
import { DEFAULT_PRACTICE } from '../practice.js';
import { STOPPED, stoppedBy, workedBy } from './setTried.js';

const by = { who: 'Mara', when: '2026-05-01T10:00:00.000Z' };
const pieces = [
  owned(combinationSpanner('13')),
  owned(ratchet('3/8in')),
  owned(extension('3/8in', 75)),
  owned(socket('3/8in', '13')),
  owned(socket('3/8in', '13', true)),
];
const finder = new ChainFinder(pieces, DEFAULT_PRACTICE);
const bolt = fastener({
  head: { form: 'hex', size: '13' },
  torque: { value: 10, source: 'manual' },
  evidence: 'measured',
});

test('what stopped a chain rules out just that chain, whatever it was', () => {
  const chains = finder.reach(endsOf(bolt)[0]!).chains;
  fc.assert(
    fc.property(fc.constantFrom(...chains), fc.constantFrom(...STOPPED), (chain, what) => {
      const after = stoppedBy(bolt, what, chain, 'near', by);
      expect(fastenerSchema.safeParse(after).error?.issues ?? []).toEqual([]);
      expect(after.trail.at(-1)!.how).toContain(what);
      if (what === 'it does not fit the head') expect(after.evidence).toBe('assumed');
      else if (what === 'it did not move') expect(after.condition).toBe('dirty');
      else if (what === 'gets in from the side only' && chain.links.at(-1)!.mode.grip === 'open') return;
      else expect(failsOf(chain, endsOf(after)[0]!, DEFAULT_PRACTICE).length).toBeGreaterThan(0);
    }),
  );
});

test('a head that sits deeper is then reached with the extension', () => {
  const short = finder.reach(endsOf(bolt)[0]!).chains.find((c) => c.links.length === 2)!;
  const after = stoppedBy(bolt, 'too short: the head sits deeper', short, 'near', by);
  expect(after.access.recess).toBeGreaterThan(short.length);
  const best = reachOf(after, finder).best[0]!;
  expect(best.length).toBeGreaterThanOrEqual(after.access.recess);
});

test('what worked is tried, and what was proven stays proven', () => {
  expect(workedBy(bolt, [['Combination spanner 13']], by)).toMatchObject({
    evidence: 'tried',
    trail: [{ who: 'Mara', how: 'Combination spanner 13 put on, works' }],
  });
  expect(workedBy({ ...bolt, evidence: 'proven' }, [['x']], by).evidence).toBe('proven');
});

test('the far end keeps its own facts', () => {
  const through = { ...bolt, far: bolt.head };
  const chain = finder.reach(endsOf(through)[1]!).chains[0]!;
  const after = stoppedBy(through, 'no room to swing', chain, 'far', by);
  expect(after.access).toEqual(through.access);
  expect(after.farAccess.swing).not.toBeNull();
});
