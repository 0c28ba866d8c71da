import { describe, expect, test } from '@jest/globals';
import {
  ChainFinder,
  combinationSpanner,
  DEFAULT_PRACTICE,
  FREE_ACCESS,
  HOOK_OVERLAP,
  newFastener,
  newPiece,
  pipe,
  plainBar,
  reachOf,
  socket,
  type Chain,
  type PieceModel,
} from '@necessaire/core';
import { chainLayout } from './layout';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const chainOf = (size: string, torque: number, ...models: PieceModel[]): Chain => {
  const head = { form: 'hex' as const, size };
  const nut = newFastener({ id: uuid(1), bikeId: uuid(2), head, torque: { value: torque, source: 'manual' } });
  const pieces = models.map((m, i) => newPiece(m, { id: uuid(10 + i) }));
  return reachOf(nut, new ChainFinder(pieces, DEFAULT_PRACTICE)).best[0]!;
};
const drawn = (chain: Chain, size: string) => chainLayout(chain, { form: 'hex', size }, FREE_ACCESS, 420, 260);

describe('a chain to scale', () => {
  test('a socket stands on the head, the bar on the socket, each as high as it is long', () => {
    const chain = chainOf('24', 60, plainBar('1/2in', 450), socket('1/2in', '24'));
    const l = drawn(chain, '24');
    expect(l.blocks.map((b) => b.name)).toEqual(['Socket ½ in, 24', 'Plain bar ½ in, 450 mm']);
    const [on, bar] = l.blocks as [(typeof l.blocks)[0], (typeof l.blocks)[0]];
    expect(on.y1).toBe(l.head.y);
    expect(bar.y1).toBe(on.y0);
    const [barLink, socketLink] = chain.links;
    expect(barLink!.piece.name).toBe(bar.name);
    expect(on.y1 - on.y0).toBeCloseTo(socketLink!.mode.length * l.scale, 6);
    // The handle reaches as far as the hand holds, and half a hand on.
    expect(bar.handle!.right).toBeCloseTo((chain.arm + 45) * l.scale, 6);
  });
  test('a hooked spanner lies on the other’s free end, not on the head, and reaches as far as its arm', () => {
    const chain = chainOf('17', 80, combinationSpanner('17'), combinationSpanner('24'));
    const [hook, head] = chain.links;
    const arm = (head!.mode.offer as { arm: number }).arm;
    const l = drawn(chain, '17');
    expect(l.blocks.map((b) => b.name)).toEqual([head!.piece.name, hook!.piece.name]);
    const [on, over] = l.blocks as [(typeof l.blocks)[0], (typeof l.blocks)[0]];
    expect(on.y1).toBe(l.head.y);
    expect(over.half).toBe(0);
    expect(over.jaw!.left).toBeGreaterThan(on.half);
    expect(over.handle!.left).toBeCloseTo((arm - HOOK_OVERLAP) * l.scale, 6);
    expect(on.handle!.right).toBeGreaterThan(over.jaw!.right);
    expect(over.handle!.right).toBeCloseTo((chain.arm + 45) * l.scale, 6);
    // Its jaw goes round the handle: above and below it.
    const middle = (on.y0 + on.y1) / 2;
    expect(over.y0).toBeLessThan(middle - on.handle!.thick / 2);
    expect(over.y1).toBeGreaterThan(middle + on.handle!.thick / 2);
    expect(over.handle!.right + l.axisX).toBeLessThanOrEqual(420);
  });
  test('a pipe goes over the handle, and nothing is drawn as hooked', () => {
    const l = drawn(chainOf('24', 120, combinationSpanner('24'), pipe(300)), '24');
    expect(l.blocks.map((b) => b.kind).at(-1)).toBe('pipe');
    expect(l.blocks.every((b) => !b.jaw)).toBe(true);
  });
});
