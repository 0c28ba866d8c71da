import type { BikeTraits } from '../../repairs/index.js';
import type { WalkPlace } from './walkPlace.js';

/** What is looked at on any bike of its kind: when, where, and which troubles it is against. How it is done is told by its key. */
interface Look {
  key: string;
  when: 'before leaving' | 'each evening';
  where: WalkPlace;
  against: readonly string[];
  only?: BikeTraits;
}
export const CHECK_LOOKS = [
  {
    key: 'tyres',
    when: 'each evening',
    where: 'front-wheel',
    against: ['puncture-tube', 'puncture-tubeless', 'slow-leak'],
  },
  {
    key: 'spokes',
    when: 'each evening',
    where: 'front-wheel',
    against: ['spokes'],
    only: { wheels: 'spoked' },
  },
  {
    key: 'front-brake',
    when: 'each evening',
    where: 'front-wheel',
    against: ['pads', 'brake-soft', 'brake-line', 'service-pads'],
  },
  {
    key: 'bearings',
    when: 'before leaving',
    where: 'front-end',
    against: ['wheel-bearing'],
  },
  {
    key: 'levers',
    when: 'before leaving',
    where: 'cockpit',
    against: ['clutch-lever', 'brake-lever', 'control-cable', 'throttle-cable'],
  },
  {
    key: 'throttle',
    when: 'before leaving',
    where: 'cockpit',
    against: ['throttle-cable'],
  },
  {
    key: 'lights',
    when: 'each evening',
    where: 'electrics',
    against: ['bulb', 'bulb-tail', 'fuse'],
  },
  {
    key: 'battery',
    when: 'before leaving',
    where: 'electrics',
    against: ['battery', 'battery-terminal'],
  },
  {
    key: 'coolant',
    when: 'before leaving',
    where: 'engine',
    against: ['coolant-hose', 'overheating', 'radiator'],
    only: { cooling: 'liquid' },
  },
  {
    key: 'oil',
    when: 'each evening',
    where: 'engine',
    against: ['oil-leak', 'case'],
  },
  {
    key: 'air-filter',
    when: 'before leaving',
    where: 'tank-seat',
    against: ['air-filter'],
  },
  {
    key: 'chain',
    when: 'each evening',
    where: 'rear-wheel',
    against: ['chain', 'chain-off', 'chain-slack', 'sprocket-worn'],
    only: { drive: 'chain' },
  },
  {
    key: 'belt',
    when: 'before leaving',
    where: 'rear-wheel',
    against: ['belt'],
    only: { drive: 'belt' },
  },
  {
    key: 'shaft',
    when: 'before leaving',
    where: 'rear-wheel',
    against: ['shaft-leak'],
    only: { drive: 'shaft' },
  },
] as const satisfies readonly Look[];
export type LookKey = (typeof CHECK_LOOKS)[number]['key'];
