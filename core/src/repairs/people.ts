import { per, trouble, type Trouble } from './trouble.js';
import { LEAVE_IT, STRAP_ON, STRAP_TRIED } from './steps.js';
import { way } from './way.js';
import { AID, COLD_ILL, HEAT_ILL, LIFT, TOWING } from './words.js';

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
        [
          'Make the place safe: switch engines off, and warn others before and behind',
          'Look at the rider first: if talking or breathing is hard or the bleeding heavy, it is serious: call for help',
          'Clean your hands and put thin gloves on <gloves>',
          'Rinse the wound with clean water',
        ],
        [
          'Dress it <dressing ×2> [bandage]',
          'Keep the rider warm',
          'Look again in an hour: fever, swelling or numbness mean a doctor',
        ],
        { caution: AID },
      ),
      way(
        'A clean cloth pressed on',
        'limp',
        15,
        1,
        ['Press a clean cloth on it by hand until it stops bleeding'],
        [],
        {
          caution:
            'A cable tie or a cord is no tourniquet, and no wound is glued by the roadside on a program’s word: call for help.',
        },
      ),
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
        [
          'Make the place safe: switch engines off, and warn others before and behind',
          'Call for help: say where, how many, what is hurt; stay on the line',
          'Breathing first: keep the airway free; the helmet stays on unless breathing needs it off',
          'Heavy bleeding: press a dressing on it, hard, and keep pressing [bandage]',
          'Do not move a hurt back or neck unless there is danger where they lie',
        ],
        [
          'Lay a blanket under and over the rider; keep talking; give nothing to eat or drink [shelter]',
          'Have somebody wait at the road with a light and a whistle for those who come [light] [signal]',
        ],
        {
          holds: 0,
          caution:
            'Call for help first, do only what you are trained to do, and follow what they tell you on the line. Emergency signals are for emergencies only.',
        },
      ),
    ],
  }),
  trouble({
    id: 'bleeding',
    name: 'Bleeding that pressing does not stop',
    subject: 'people',
    byFall: true,
    rate: per(0.0002, 0.0004, 0.001),
    ways: [
      way(
        'Call for help, keep pressing',
        'ride-out',
        40,
        1,
        [
          'Make the place safe: switch engines off, and warn others before and behind',
          'Press on it at once: both hands, the cleanest cloth there is, your weight on it; do not let go',
          'Have somebody call for help: say where, how many, what is hurt; stay on the line and do what they say',
        ],
        ['Lay the rider down and keep them warm', 'Lay another cloth on top of a soaked one, and keep pressing'],
        { holds: 0, caution: AID },
      ),
      way(
        'With a pressure dressing',
        'ride-out',
        35,
        1,
        [
          'Make the place safe: switch engines off, and warn others before and behind',
          'Press on it at once; have somebody call for help and stay on the line',
          'Put thin gloves on <gloves>',
          'Press the dressing on with both hands and your weight, then wind it tight <pressure dressing>',
        ],
        [
          'Lay the rider down and keep them warm',
          'Lay another dressing on top of a soaked one, and keep pressing [bandage]',
        ],
        { holds: 0, caution: AID },
      ),
      way(
        'The trauma kit, by somebody trained',
        'ride-out',
        30,
        3,
        [
          'Make the place safe and call for help while somebody keeps pressing',
          'Only somebody trained in it opens the kit and uses it, as trained [stop bleeding]',
          'Write the time on it, for those who come',
        ],
        [],
        {
          holds: 0,
          caution: `A tourniquet without training does harm: take a course before you carry one. ${AID}`,
        },
      ),
    ],
  }),
  trouble({
    id: 'burn',
    name: 'Burn',
    subject: 'people',
    rate: per(0.0025, 0.0035, 0.006),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Cool and cover it',
        'proper',
        30,
        1,
        [
          'Take the rider away from the heat; take rings and watch off',
          'Cool it with cool running water for twenty minutes; no ice, no cream',
        ],
        ['Lay a burn dressing on loosely; leave blisters closed <burn dressing>'],
        { caution: AID },
      ),
      way(
        'Water and a clean cloth',
        'ride-out',
        30,
        1,
        ['Cool it with cool running water for twenty minutes; no ice, no cream'],
        ['Lay a clean cloth on loosely; leave blisters closed'],
        {
          caution: AID,
        },
      ),
    ],
  }),
  trouble({
    id: 'blister',
    name: 'Blister or chafed skin',
    subject: 'people',
    rate: per(0.001, 0.0015, 0.003),
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Clean it, pad it',
        'proper',
        10,
        1,
        ['Wash it; leave the blister closed'],
        ['Lay a dressing on it and wind tape round <dressing> <cloth tape>'],
        {
          caution: AID,
        },
      ),
      way('Tape and dry socks or gloves', 'ride-out', 5, 1, [
        'Tape smoothly over the place <cloth tape>',
        'Change into dry socks or gloves',
      ]),
    ],
  }),
  trouble({
    id: 'bite',
    name: 'Bite or sting',
    subject: 'people',
    rate: per(0.0005, 0.001, 0.001),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Clean, cool, watch',
        'proper',
        20,
        1,
        [
          'Take rings and watch off',
          'Insect: scrape the sting out and cool the place',
          'Animal: rinse the bite with plenty of water and cover it; see a doctor the same day <dressing>',
        ],
        ['Watch the rider for an hour: with a swelling face, hard breathing or faintness call for help at once'],
        {
          caution: `A snake’s bite is not cut, sucked or tied off: keep still, limb low, call for help. ${AID}`,
        },
      ),
      way('Ride on only when an hour has passed', 'ride-out', 60, 1, ['Rest in the shade, not alone'], [], {
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
        [
          'Clean your hands first <hand wipe>',
          'Wash the eye with clean water; do not rub',
          'Leave alone what sticks in the eye: cover it and see a doctor',
        ],
        ['Fit the spare lens <goggle lens>'],
        { caution: AID },
      ),
      way(
        'Visor down, slowly',
        'ride-out',
        10,
        1,
        ['Wash the eye with clean water; do not rub', 'Leave alone what sticks in the eye: cover it and see a doctor'],
        [],
        { caution: AID },
      ),
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
        ['Put a tie where a buckle was <cable tie>'],
        { caution: 'Who cannot see well does not ride: without spectacles go as a passenger, or wait.' },
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
        ['Fill bottles from running water and let the mud settle'],
        ['Put a tablet to each litre and wait half an hour <water tablet ×2>'],
        { caution: `Water from the wild makes you ill: treat it before you drink. ${HEAT_ILL}` },
      ),
      way(
        'Share, rest in the shade',
        'ride-out',
        60,
        1,
        ['Rest in the shade with the jacket open until the heat is over', 'Share the water in small sips'],
        [],
        { when: ['company'], caution: HEAT_ILL },
      ),
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
          'Tell somebody where you are',
          'Get off the track and out of the wind',
          'Get into blanket or bag; put something under you that keeps the ground’s cold off [shelter]',
          'Keep a light at hand [light]',
        ],
        ['Light a fire only where it may burn [fire]'],
        {
          caution: `Emergency signals are for emergencies only. A fire in the dry spreads: check for fire bans. ${COLD_ILL}`,
        },
      ),
      way(
        'Huddle behind the bikes',
        'limp',
        120,
        1,
        ['Put all clothes on, dry ones next to the skin', 'Sit on bags, out of the wind, close together'],
        [],
        {
          caution: COLD_ILL,
        },
      ),
    ],
  }),
  trouble({
    id: 'lost-way',
    name: 'Way lost, no signal',
    subject: 'people',
    rate: per(0.001, 0.006, 0.015),
    stops: false,
    nuisance: 1,
    ways: [
      way('Back to the last known point', 'proper', 40, 1, [
        'Stop; look at your fuel',
        'Ride the track back to the last point that you knew',
      ]),
    ],
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
        ['Engine off, fuel tap shut, luggage off', 'Put a strap low round the fork or frame [tow]'],
        [
          'Lift with your legs, back straight; pull along the track, not up',
          'Keep everybody out of the way that it would fall or roll',
        ],
        { when: ['company'], caution: `${LIFT} ${TOWING}` },
      ),
      way(
        'Pulley to a tree',
        'proper',
        70,
        2,
        [
          'Engine off, fuel tap shut, luggage off',
          'Anchor low on a tree that does not move, with cloth round its bark',
          'Run the cord through the pulleys [haul]',
        ],
        ['Lay a jacket over the cord and stand beside its line', 'Pull it up a hand at a time'],
        { caution: `${LIFT} A cord under load cuts when it breaks: keep everybody out of its line.` },
      ),
      way(
        'Straps round the rear tyre',
        'ride-out',
        30,
        2,
        [
          'Engine and ignition off, neutral, luggage off',
          'Push the mud out from between tyre and mudguard',
          'Pull two straps round tyre and rim between the spokes, their buckles to the side <strap ×2>',
          'Turn the wheel by hand: nothing may touch brake, chain or swing arm',
        ],
        [
          'Start it; walk beside it with little throttle, feet clear of the wheel',
          'Once out: take the straps off before firm ground',
        ],
        {
          only: { wheels: 'spoked' },
          holds: 0.6,
          caution: 'A strap that comes loose locks the wheel: walking pace, hands and clothes away from the wheel.',
          lasts: { km: 1, kmh: 20 },
          ruin: 'firm ground',
          second: 8,
        },
      ),
      way(
        'Lift it alone, back to the seat',
        'ride-out',
        15,
        1,
        [
          'Ignition off, fuel tap shut',
          'Take a breath; take the luggage off',
          'Put it in gear; if it lies on its right, fold the side-stand out first',
          'Turn the bars to the side that it lies on',
          'Back against the seat, one hand on the grip, one under the frame: walk it up with your legs',
        ],
        ['Check levers, oil and fuel', 'Wait some minutes before you start it'],
        {
          holds: 0.5,
          caution:
            'A back is hurt for weeks: legs lift, the back stays straight; too heavy is too heavy: wait for help.',
        },
      ),
      way(
        'Dig, lay branches, rest, try',
        'ride-out',
        110,
        1,
        [
          'Engine off, fuel tap shut, luggage off',
          'Dig in front of both wheels',
          'Lay the bike over, fill the holes with stones and branches, stand it up',
        ],
        [
          'In sand: let some air out, if you can pump the tyres up again',
          'Start it; walk beside it with little throttle, feet clear of the wheel',
        ],
        { caution: 'A spinning wheel throws stones and takes feet: nobody behind it.' },
      ),
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
        [
          'Neutral; take a broken chain off first; both wheels must turn freely',
          ...STRAP_ON,
          'Agree on signs: stop, slower, I let go',
        ],
        [STRAP_TRIED, 'Go no faster than a bicycle, both brakes ready'],
        { when: ['company'], travel: { over: 'workshop', speed: 'towing' }, caution: TOWING },
      ),
      way('Walk out, fetch it later', 'limp', 120, 1, LEAVE_IT, ['Come back with a van'], {
        travel: { over: 'help', speed: 'walking' },
      }),
    ],
  }),
];
