import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BRAKES, BY_HAND, PADS, WALKING_PACE } from './words.js';

/** Lines, fluid and pads. */
export const BRAKE_TROUBLES: Trouble[] = [
  trouble({
    id: 'brake-line',
    name: 'Brake line leaks',
    subject: 'brakes',
    rate: per(0.0002, 0.0005, 0.002),
    byFall: true,
    only: { hydraulic: true },
    ways: [
      way(
        'Union tight, fill and bleed',
        'proper',
        50,
        3,
        [
          'Wipe it dry, pull the lever: find where it comes from',
          'Union tight, a little {brake union}',
          'Wipe the lid, lid off, fluid of the grade on the cap; never let it run empty <brake fluid>',
        ],
        [
          'Bleed: lever pulled, nipple open, nipple shut, lever let go; until no bubble comes and the lever is hard {brake union}',
          'Wipe all; lever pulled hard for a minute: no drip',
          'Try it at walking pace',
        ],
        {
          holds: 0.5,
          caution: `${BRAKES} Use brake fluid of the grade on the cap, from a sealed bottle only. Brake fluid eats paint and skin: wear gloves, rinse with water.`,
          second: 15,
        },
      ),
      way(
        'Clamp it, ride on the other brake',
        'limp',
        15,
        2,
        [
          'Fold and clamp the line above the leak [clamp]',
          'Wipe pads and disc clear of fluid',
          'Leave that lever alone from now on',
        ],
        ['Spin the wheel: it runs free', 'Walking pace, the other brake only'],
        {
          travel: WALKING_PACE,
          caution:
            'A clamped brake line is a brake missing: ride at walking pace to the nearest road, and if in doubt do not ride.',
        },
      ),
    ],
  }),
  trouble({
    id: 'brake-soft',
    name: 'Brake soft or boiled',
    subject: 'brakes',
    rate: per(0.0005, 0.002, 0.006),
    only: { hydraulic: true },
    ways: [
      way(
        'Cool, bleed',
        'proper',
        45,
        3,
        ['Half an hour’s rest; disc and pads cold'],
        [
          'Bleed with fresh fluid of the grade on the cap, never let it run empty <brake fluid> {brake union}',
          'The lever is hard; try it at walking pace',
        ],
        { caution: `${BRAKES} Use brake fluid of the grade on the cap, from a sealed bottle only.` },
      ),
      way('Cool, ride gently', 'limp', 40, 1, ['Half an hour’s rest; pump the lever; try it at walking pace'], [], {
        caution: BRAKES,
        lasts: { km: 50, kmh: 40 },
      }),
    ],
  }),
  trouble({
    id: 'pads',
    name: 'Brake pads worn out',
    subject: 'brakes',
    rate: per(0.0005, 0.002, 0.008),
    only: { hydraulic: true },
    ways: [
      way(
        'New pads',
        'proper',
        36,
        2,
        [
          'Wipe the reservoir’s lid, watch its level: it rises; take some out before it runs over',
          'Push the pistons back by pressing the old pads apart, slowly, with a tyre lever between them [lever tyre]',
          'Pads’ pin and its clip out, old pads out; look how they lie {brake pads}',
          'Leave the lever alone',
        ],
        [
          'Pads in as the old ones lay, pin and clip in <brake pads> {brake pads}',
          'Pump the lever until it is hard',
          'Try it at walking pace; brake gently until they have bedded in',
        ],
        { caution: `${BRAKES} ${PADS} ${BY_HAND}` },
      ),
      way(
        'Ride on the other brake',
        'limp',
        10,
        1,
        ['Leave that lever alone: its pistons may come out', 'Spin the wheel: it runs free; walking pace'],
        [],
        {
          travel: WALKING_PACE,
          caution: BRAKES,
        },
      ),
    ],
  }),
];
