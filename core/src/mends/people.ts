import { per, trouble, type Trouble } from './trouble.js';
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
          'Make the place safe: engines off, others warned above and below',
          'Look at the rider first: talks, breathes, no heavy bleeding; else it is serious: call for help',
          'Gloves on; rinse the wound with clean water',
        ],
        [
          'Dress it <dressing ×2> [bandage]',
          'Keep the rider warm; look again in an hour: fever, swelling, numbness mean a doctor',
        ],
        { caution: AID },
      ),
      way('A clean cloth pressed on', 'limp', 15, 1, ['Clean cloth on it, pressed by hand until it stops'], [], {
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
        [
          'Make the place safe: engines off, others warned above and below',
          'Call for help: place, how many, what is hurt; stay on the line',
          'Breathing first: the airway free; the helmet stays on unless breathing needs it off',
          'Heavy bleeding: press on it with a dressing, hard, and keep pressing [bandage]',
          'Do not move a hurt back or neck unless there is danger where they lie',
        ],
        [
          'Blanket under and over; keep talking; nothing to eat or drink [shelter]',
          'Light and whistle for who comes; somebody waits at the road [light] [signal]',
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
        ['Away from the heat; rings and watch off', 'Cool running water for twenty minutes; no ice, no cream'],
        ['Burn dressing, loose; blisters stay closed <burn dressing>'],
        { caution: AID },
      ),
      way(
        'Water and a clean cloth',
        'ride-out',
        30,
        1,
        ['Cool running water for twenty minutes; no ice, no cream'],
        ['Clean cloth, loose; blisters stay closed'],
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
        ['Wash it; leave it closed'],
        ['Dressing, tape round it <dressing> <cloth tape>'],
        {
          caution: AID,
        },
      ),
      way('Tape and dry socks or gloves', 'ride-out', 5, 1, ['Tape smoothly over the place <cloth tape>']),
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
          'Rings and watch off',
          'Insect: scrape the sting out, cool the place',
          'Animal: rinse with much water, cover it; a doctor the same day <dressing>',
        ],
        ['Watch the rider for an hour: swelling face, trouble with breathing, faintness: call for help at once'],
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
        ['Wash with clean water, do not rub'],
        ['Spare lens in <goggle lens>'],
        { caution: AID },
      ),
      way('Visor down, slowly', 'ride-out', 10, 1, ['Wash with clean water, do not rub'], [], { caution: AID }),
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
        { caution: `Water from the wild makes you ill: treat it before you drink. ${HEAT_ILL}` },
      ),
      way(
        'Share, rest in the shade',
        'ride-out',
        60,
        1,
        ['Shade, jacket open, water shared in small sips, until the heat is over'],
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
          'Off the track, out of the wind; tell somebody where you are',
          'Blanket or bag, insulation from below [shelter]',
          'Light in hand [light]',
        ],
        ['Fire only where it may burn [fire]'],
        {
          caution: `Emergency signals are for emergencies only. A fire in the dry spreads: check for fire bans. ${COLD_ILL}`,
        },
      ),
      way(
        'Huddle behind the bikes',
        'limp',
        120,
        1,
        ['All clothes on, dry ones next to the skin', 'Seat and bags under you, out of the wind'],
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
        ['Engine off, fuel tap shut, luggage off', 'Strap low round the fork or frame [tow]'],
        ['Lift with the legs, back straight; pull along the track, not up', 'Nobody between the bike and the slope'],
        { when: ['company'], caution: `${LIFT} ${TOWING}` },
      ),
      way(
        'Pulley to a tree',
        'proper',
        70,
        2,
        [
          'Engine off, fuel tap shut, luggage off',
          'Anchor low on a tree that does not move, a sheet round its bark; cord through the pulleys [haul]',
        ],
        ['Take it up a hand at a time; a jacket over the cord; stand aside of it'],
        { caution: `${LIFT} A cord under load cuts when it breaks: keep everybody out of its line.` },
      ),
      way(
        'Dig, lay branches, rest, try',
        'ride-out',
        110,
        1,
        [
          'Luggage off; dig in front of both wheels',
          'Lay it over, fill the hole with stones and branches, stand it up',
        ],
        [
          'Tyres softer for sand, if they can be pumped up again; walk beside it, little throttle, feet clear of the wheel',
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
          'Neutral; the wheels turn freely; a broken chain comes off first',
          'Strap from the other’s rear frame to this bike’s foot peg: one turn round the peg, the end under the boot [tow]',
          'Agree on signs: stop, slower, I let go',
        ],
        ['Foot off the strap and it runs free: try that once, standing', 'No faster than a run; both brakes ready'],
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
