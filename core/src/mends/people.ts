import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { AID, LIFT, TOWING } from './words.js';

/** Riders and their gear, a night out, getting a bike out. */
export const PEOPLE: Trouble[] = [
  trouble({
    id: 'injury',
    name: 'Somebody hurt, minor',
    subject: 'people',
    byFall: true,
    rate: per(0.01, 0.02, 0.06),
    stops: false,
    nuisance: 2,
    ways: [
      way(
        'Clean and dress it',
        'proper',
        18,
        2,
        ['Stop the bikes above and below, look at the rider first', 'Clean with water'],
        ['Dress it <dressing ×2> [bandage]', 'Look again in an hour'],
        { caution: AID },
      ),
      way('A clean cloth tied round', 'limp', 15, 1, ['Clean cloth on it, pressed'], [], {
        caution:
          'A cable tie or a cord is no tourniquet, and no wound is glued by the roadside on a program’s word: call for help.',
      }),
    ],
  }),
  trouble({
    id: 'injury-serious',
    name: 'Somebody hurt, serious',
    subject: 'people',
    byFall: true,
    rate: per(0.001, 0.002, 0.006),
    ways: [
      way(
        'Call for help, keep warm, stay',
        'ride-out',
        60,
        2,
        ['Call first; note place and time', 'Stop bleeding with what is in the kit [bandage]'],
        ['Blanket under and over [shelter]', 'Light and whistle for who comes [light] [signal]'],
        {
          holds: 0,
          caution:
            'Call for help first, and do only what you are trained to do. Emergency signals are for emergencies only.',
        },
      ),
    ],
  }),
  trouble({
    id: 'burn',
    name: 'Burn, blister or bite',
    subject: 'people',
    rate: per(0.004, 0.006, 0.01),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Cool and cover it',
        'proper',
        15,
        1,
        ['Ten minutes of cool water'],
        ['Burn dressing, loose <burn dressing>'],
        { caution: AID },
      ),
      way('Water and a clean cloth', 'ride-out', 20, 1, ['Ten minutes of cool water'], ['Cloth, loose'], {
        caution: AID,
      }),
    ],
  }),
  trouble({
    id: 'eye',
    name: 'Dust in the eye, goggles broken',
    subject: 'people',
    rate: per(0.003, 0.01, 0.02),
    stops: false,
    nuisance: 0.8,
    ways: [
      way(
        'Wash it out, spare lens',
        'proper',
        10,
        1,
        ['Wash with clean water, do not rub'],
        ['Spare lens in <goggle lens>'],
        { caution: AID },
      ),
      way('Visor down, slowly', 'ride-out', 10, 1, ['Wash with clean water, do not rub']),
    ],
  }),
  trouble({
    id: 'boots-gear',
    name: 'Boot, glove or spectacles broken',
    subject: 'people',
    byFall: true,
    rate: per(0.003, 0.006, 0.012),
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Tape and ties',
        'ride-out',
        10,
        1,
        ['Tape round the sole or the frame <cloth tape>'],
        ['A tie where a buckle was <cable tie>'],
      ),
    ],
  }),
  trouble({
    id: 'heat-thirst',
    name: 'Out of water in the heat',
    subject: 'people',
    rate: per(0.0005, 0.002, 0.005),
    stops: false,
    nuisance: 3,
    ways: [
      way(
        'Treat what there is',
        'proper',
        40,
        1,
        ['Fill from running water, let mud settle'],
        ['A tablet to each litre, wait half an hour <water tablet ×2>'],
        { caution: 'Water from the wild makes you ill: treat it before you drink.' },
      ),
      way('Share, rest in the shade', 'ride-out', 60, 1, ['Shade until the heat is over'], [], { when: ['company'] }),
    ],
  }),
  trouble({
    id: 'night-out',
    name: 'A night out',
    subject: 'people',
    rate: per(0.001, 0.004, 0.012),
    stops: false,
    nuisance: 6,
    ways: [
      way(
        'Shelter, light, fire, wait for the day',
        'proper',
        120,
        1,
        [
          'Off the track, out of the wind; tell somebody where you are',
          'Blanket or bag, insulation from below [shelter]',
          'Light in hand [light]',
        ],
        ['Fire only where it may burn [fire]'],
        { caution: 'Emergency signals are for emergencies only. A fire in the dry spreads: check for fire bans.' },
      ),
      way('Huddle behind the bikes', 'limp', 120, 1, ['All clothes on, seat and bags under you']),
    ],
  }),
  trouble({
    id: 'lost-way',
    name: 'Way lost, no signal',
    subject: 'people',
    rate: per(0.001, 0.006, 0.015),
    stops: false,
    nuisance: 1,
    ways: [way('Back to the last known point', 'proper', 40, 1, ['Stop, look at the track behind, ride it back'])],
  }),
  trouble({
    id: 'stuck',
    name: 'Stuck or cannot be lifted',
    subject: 'getting out',
    rate: per(0.0005, 0.005, 0.05),
    stops: false,
    nuisance: 3,
    ways: [
      way(
        'Strap and many hands',
        'proper',
        42,
        1,
        ['Luggage off; fuel tap shut', 'Strap low on the fork or frame [tow]'],
        ['Lift with the legs, pull along the track, not up'],
        { when: ['company'], caution: `${LIFT} ${TOWING}` },
      ),
      way(
        'Pulley to a tree',
        'proper',
        70,
        2,
        ['Luggage off', 'Anchor low, cord through the pulleys [haul]'],
        ['Take it up a hand at a time, stand aside of the cord'],
        { caution: `${LIFT} A cord under load cuts when it breaks: keep everybody out of its line.` },
      ),
      way('Dig, lay branches, rest, try', 'ride-out', 110, 1, [
        'Luggage off; lay it over, fill the hole with stones and branches',
      ]),
    ],
  }),
  trouble({
    id: 'dead-bike',
    name: 'Engine dead beyond mending here',
    subject: 'getting out',
    rate: per(0.001, 0.002, 0.004),
    ways: [
      way(
        'Be towed to the road',
        'limp',
        15,
        2,
        ['Strap wound round the bars, never tied [tow]'],
        ['Hold it by hand so that it can be let go; no faster than a run'],
        { when: ['company'], travel: { over: 'workshop', speed: 'towing' }, caution: TOWING },
      ),
      way(
        'Walk out, fetch it later',
        'limp',
        120,
        1,
        ['Hide and lock it; note the place; take water, papers, light'],
        ['Come back with a van'],
        { travel: { over: 'help', speed: 'walking' } },
      ),
    ],
  }),
];
