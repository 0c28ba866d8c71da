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
          'Wipe the line dry, pull the lever, and look where fluid comes from',
          'Tighten the union a little {brake union}',
          'Wipe the reservoir’s lid and take it off',
          'Fill fluid of the grade on the cap; never let the reservoir run empty <brake fluid>',
        ],
        [
          'Bleed it: pull the lever, open the nipple, close the nipple, let the lever go {brake union}',
          'Repeat until no bubble comes and the lever is hard',
          'Wipe everything and pull the lever hard for a minute: no drip may come',
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
          'Fold the line above the leak and clamp it [clamp]',
          'Wipe pads and disc clean of fluid',
          'Leave that lever alone from now on',
        ],
        ['Spin the wheel: it must run free', 'Ride at walking pace, with the other brake only'],
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
        ['Wait half an hour until disc and pads are cold', 'Look at the pads: worn out, they are the cause'],
        [
          'Fill fresh fluid of the grade on the cap; never let the reservoir run empty <brake fluid>',
          'Bleed it: pull the lever, open the nipple, close the nipple, let the lever go {brake union}',
          'Repeat until no bubble comes and the lever is hard',
          'Try it at walking pace',
        ],
        { caution: `${BRAKES} Use brake fluid of the grade on the cap, from a sealed bottle only.` },
      ),
      way(
        'Cool, ride gently',
        'limp',
        40,
        1,
        [
          'Wait half an hour until disc and pads are cold',
          'Pump the lever: if it stays soft, do not ride',
          'Try it at walking pace',
        ],
        [],
        {
          caution: BRAKES,
          lasts: { km: 50, kmh: 40 },
        },
      ),
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
          'Wipe the reservoir’s lid and watch the level behind it: it rises as the pistons go back',
          'Push the pistons back: press the old pads apart, slowly, with a tyre lever between them [lever tyre]',
          'See how the old pads lie; take out the pin with its clip, then the pads {brake pads}',
          'Leave the lever alone',
        ],
        [
          'Put the new pads in as the old ones lay; fit pin and clip <brake pads> {brake pads}',
          'Pump the lever until it is hard',
          'Try it at walking pace, and brake gently until the pads have bedded in',
        ],
        { caution: `${BRAKES} ${PADS} ${BY_HAND}` },
      ),
      way(
        'Ride on the other brake',
        'limp',
        10,
        1,
        [
          'Leave that lever alone: its pistons may come out',
          'Spin the wheel: it must run free',
          'Ride at walking pace, with the other brake only',
        ],
        [],
        {
          travel: WALKING_PACE,
          caution: BRAKES,
        },
      ),
    ],
  }),
];
