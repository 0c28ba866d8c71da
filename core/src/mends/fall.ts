import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, HOT, SLOW } from './words.js';

/** What a fall breaks. */
export const FALL: Trouble[] = [
  trouble({
    id: 'clutch-lever',
    name: 'Clutch lever broken',
    subject: 'fall',
    byFall: true,
    rate: per(0.0025, 0.01, 0.075),
    ways: [
      way('New lever', 'proper', 24, 1, ['Pivot out, both ends {clutch lever}', 'Cable or push rod out of the stump'], ['Lever in, grease, pivot back, set the play <clutch lever> {clutch lever}'], { caution: 'A lever clamp left loose must still hold a full pull.' }),
      way('Locking pliers on the stump', 'ride-out', 10, 1, ['Pliers set tight on the stump, handle along the grip [clamp]'], ['Tape them on <cloth tape>'], { caution: `Pliers as a lever: ${SLOW}` }),
      way('Shift without the clutch', 'limp', 5, 3, ['Start rolling in first, match the engine’s speed at each shift'], [], { caution: 'Stopping means stalling: quiet roads only.' }),
    ],
  }),
  trouble({
    id: 'brake-lever',
    name: 'Brake lever broken',
    subject: 'fall',
    byFall: true,
    rate: per(0.0025, 0.01, 0.075),
    ways: [
      way('New lever', 'proper', 24, 1, ['Pivot out, both ends {brake lever}'], ['Lever in, grease, pivot back, pull hard before riding <brake lever> {brake lever}'], { caution: BRAKES }),
      way('Locking pliers on the stump', 'limp', 10, 1, ['Pliers set tight on the stump [clamp]'], ['Tape them on, try a full stop at walking pace <cloth tape>'], { caution: `${BRAKES} Pliers as a lever: walking pace.` }),
    ],
  }),
  trouble({
    id: 'gear-pedal',
    name: 'Gear pedal bent or broken',
    subject: 'fall',
    byFall: true,
    rate: per(0.003, 0.01, 0.06),
    ways: [
      way('Off, straighten, back on', 'proper', 30, 2, ['Pinch bolt out, mark the spline, pedal off {gear pedal}', 'Bend it on a stone, cold [grip]'], ['On at its mark, tighten {gear pedal}']),
      way('Locking pliers on the shaft', 'ride-out', 10, 1, ['Pliers on the shaft or the stump as a pedal [clamp]'], [], { caution: `Pliers as a pedal: ${SLOW}` }),
      way('Stay in second gear', 'limp', 5, 1, ['Second by hand, then ride in it']),
    ],
  }),
  trouble({
    id: 'brake-pedal',
    name: 'Brake pedal bent',
    subject: 'fall',
    byFall: true,
    rate: per(0.002, 0.006, 0.03),
    stops: false,
    nuisance: 1,
    ways: [
      way('Bend it back on the bike', 'proper', 20, 1, ['A bar or a branch behind it, pull it straight [pry]'], ['Try that it comes back by itself'], { caution: BRAKES }),
      way('Ride with the front brake', 'limp', 5, 2, ['Tie the pedal clear so that it does not drag <cable tie ×2>'], [], { caution: BRAKES }),
    ],
  }),
  trouble({
    id: 'mirror',
    name: 'Mirror or indicator broken',
    subject: 'fall',
    byFall: true,
    rate: per(0.01, 0.04, 0.15),
    stops: false,
    nuisance: 0.5,
    ways: [
      way('Turn or tie it back on', 'proper', 12, 1, ['Lock nut loose, turn it back {mirror}'], ['Ties and tape round what is broken <cable tie ×3> {mirror}']),
      way('Hand signals and shoulder checks', 'ride-out', 2, 1, ['Take off what dangles; signal by hand']),
    ],
  }),
  trouble({
    id: 'bars',
    name: 'Bars or guards bent',
    subject: 'fall',
    byFall: true,
    rate: per(0.003, 0.01, 0.05),
    stops: false,
    nuisance: 1,
    ways: [
      way('Turn them true in their clamps', 'proper', 30, 1, ['Clamps a turn loose {bars}', 'Front wheel between the knees, turn the bars true'], ['Tighten evenly, front pair first {bars}'], { caution: BY_HAND }),
      way('Ride with them as they are', 'limp', 5, 1, ['Try full lock both ways; ride slowly'], [], { caution: 'A cracked bar breaks without a word: walking pace.' }),
    ],
  }),
  trouble({
    id: 'forks-twisted',
    name: 'Forks twisted in their clamps',
    subject: 'fall',
    byFall: true,
    rate: per(0.001, 0.004, 0.03),
    stops: false,
    nuisance: 1,
    ways: [
      way('Loosen, bounce, tighten', 'proper', 25, 2, ['Axle pinch and lower clamp loose {front axle pinch?} {steering}', 'Knock the wheel true against a tree'], ['Bounce the forks, tighten from below upwards {steering} {front axle pinch?}'], { caution: BY_HAND }),
      way('Push it true', 'ride-out', 10, 1, ['Wheel against a tree, pull the bars'], [], { holds: 0.5, caution: BY_HAND }),
    ],
  }),
  trouble({
    id: 'radiator',
    name: 'Radiator holed',
    subject: 'fall',
    byFall: true,
    rate: per(0.001, 0.004, 0.02),
    only: { cooling: 'liquid' },
    ways: [
      way('Fold the tube, putty over', 'ride-out', 72, 2, ['Let it cool; guard off {radiator guard}', 'Cut the fins clear, fold the holed tube shut [grip] [cut]'], ['Degrease, putty both sides, wait an hour <metal putty ×2> <cleaner>', 'Fill up, look for drips <coolant> {radiator guard}'], { holds: 0.8, caution: `Coolant only when cold. A putty repair: ${SLOW}` }),
      way('Stop-leak powder for a weep', 'ride-out', 30, 1, ['Let it cool, cap off'], ['Powder in, fill up, let it run warm <stop-leak powder> <coolant>'], { holds: 0.6, caution: 'Coolant only when cold. Small weeps only.' }),
      way('Cap loose, top up with water', 'limp', 40, 1, ['Let it cool; cap on its first notch so that no pressure builds'], ['Water from the bottle; stop whenever the gauge climbs'], { caution: 'Coolant only when cold: it scalds.' }),
    ],
  }),
  trouble({
    id: 'case',
    name: 'Engine case holed',
    subject: 'fall',
    byFall: true,
    rate: per(0.0002, 0.001, 0.006),
    ways: [
      way('Putty with a sheet of alloy', 'ride-out', 90, 2, ['Lay the bike with the hole upwards; clean to bare metal [brush] <cleaner>', 'Cut a patch of thin alloy a finger wider [cut] <alloy sheet>'], ['Putty under and over it, wait an hour <metal putty ×2>', 'Oil in, look for drips <engine oil>'], { holds: 0.7, caution: `A putty repair: ${SLOW}` }),
      way('Soap and tape over a crack', 'limp', 30, 1, ['Dry it, soap pressed into the crack'], ['Tape and a pad strapped over <cloth tape> <cable tie ×4>'], { holds: 0.5, caution: 'No oil, no engine: look every few km.' }),
    ],
  }),
  trouble({
    id: 'foot-peg',
    name: 'Foot peg broken or lost',
    subject: 'fall',
    byFall: true,
    rate: per(0.0005, 0.002, 0.008),
    stops: false,
    nuisance: 1,
    ways: [
      way('Bolt as the hinge pin', 'proper', 20, 1, ['Drive the rest of the pin out [punch out]'], ['Bolt through, nut behind <bolt M8>', 'Mount tight {foot peg}']),
      way('Ride on the passenger’s peg', 'limp', 2, 1, ['Foot on the other peg, slowly']),
    ],
  }),
  trouble({
    id: 'luggage',
    name: 'Luggage mount broken',
    subject: 'luggage',
    byFall: true,
    rate: per(0.005, 0.03, 0.06),
    stops: false,
    nuisance: 1.5,
    ways: [
      way('Wire and ties, weight shifted', 'ride-out', 30, 1, ['Rest of the bolt out {luggage rack}', 'Heavy things to the other side'], ['Wire round what carries, ties against rattle <wire> <cable tie ×4> [cut]', 'Tighten the neighbours {luggage rack}'], { caution: HOT }),
      way('Strap the bag to the seat', 'limp', 20, 1, ['Bag on the seat, straps round seat and rack <strap>']),
    ],
  }),
  trouble({
    id: 'bag-torn',
    name: 'Bag or strap torn',
    subject: 'luggage',
    byFall: true,
    rate: per(0.003, 0.008, 0.02),
    stops: false,
    nuisance: 0.8,
    ways: [
      way('Sew or tape it', 'ride-out', 25, 1, ['Dry the edges'], ['Tape inside and outside, then a strap round <cloth tape> <strap>']),
      way('Repack into another bag', 'limp', 20, 1, ['Share it out among what is left']),
    ],
  }),
  trouble({
    id: 'subframe',
    name: 'Subframe cracked',
    subject: 'luggage',
    rate: per(0.0005, 0.003, 0.01),
    byFall: true,
    ways: [
      way('Splint with a tyre lever', 'ride-out', 60, 2, ['Luggage off; seat off {seat}', 'A lever or spanner along the break [lever tyre]'], ['Steel ties or clamps round both <hose clamp ×3>', 'Bolts tight, weight off the rear {subframe}'], { caution: SLOW }),
      way('Leave the luggage, ride standing', 'limp', 20, 1, ['Hide or hand over the luggage'], [], { caution: SLOW }),
    ],
  }),
];
