import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { BY_HAND, HOT } from './words.js';

/** Things shaken loose, lost, or that fail at the mend itself. */
export const LOOSE: Trouble[] = [
  trouble({
    id: 'fastener-lost',
    name: 'Fastener shaken loose or lost',
    subject: 'loose and lost',
    rate: per(0.03, 0.1, 0.25),
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'New bolt of its thread',
        'proper',
        18,
        1,
        ['Find the thread: try a bolt by hand, never force it'],
        ['Bolt, washer and nut in, tighten, paint mark across <bolt>', 'Look at its neighbours too'],
        { caution: BY_HAND },
      ),
      way(
        'Ties in its place',
        'ride-out',
        10,
        1,
        ['Ties through the hole, pulled against the vibration <cable tie ×2>'],
        [],
        { caution: HOT },
      ),
    ],
  }),
  trouble({
    id: 'fastener-loose',
    name: 'Fastener found loose at the evening round',
    subject: 'loose and lost',
    rate: per(0.06, 0.2, 0.5),
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Tighten it',
        'proper',
        6,
        1,
        ['Go round the bike by hand, station by station'],
        ['Tighten, mark, look again next evening'],
        { caution: BY_HAND },
      ),
    ],
  }),
  trouble({
    id: 'head-rounded',
    name: 'Head rounded or seized at a mend',
    subject: 'loose and lost',
    rate: per(0.002, 0.004, 0.012),
    stops: false,
    nuisance: 2,
    ways: [
      way(
        'Up the ladder: soak, strike, grip, file',
        'proper',
        48,
        2,
        [
          'Clean the recess to its ground [brush]',
          'Penetrating fluid, and ten minutes <penetrating fluid>',
          'The six-point or the next smaller tool, driven on [strike]',
          'Locking pliers on what is left of the head [grip]',
          'File two flats and turn those [file]',
        ],
        ['New bolt in <bolt M6>'],
        { holds: 0.8, caution: 'A flame sets fuel and rubber alight: use heat only far from tank, hoses and seals.' },
      ),
      way(
        'Grip it with pliers',
        'ride-out',
        20,
        1,
        ['Locking pliers square on the head, rocked back and forth [grip]'],
        [],
        { holds: 0.5, caution: 'Locking pliers and files ruin a bolt’s head: fit a new bolt afterwards.' },
      ),
      way(
        'Cut it',
        'ride-out',
        40,
        2,
        ['Saw the head off, pull the part over the stump [saw]'],
        ['A tie through the hole <cable tie ×2>'],
        { holds: 0.7, caution: HOT },
      ),
    ],
  }),
  trouble({
    id: 'thread-stripped',
    name: 'Thread stripped',
    subject: 'loose and lost',
    rate: per(0.001, 0.003, 0.006),
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Longer bolt with a nut behind',
        'proper',
        25,
        2,
        ['Look whether there is room behind for a nut'],
        ['Bolt through, nut and washer <bolt M8>'],
        { holds: 0.7 },
      ),
      way(
        'Putty in the thread',
        'ride-out',
        70,
        2,
        ['Clean and degrease hole and bolt <cleaner>'],
        ['Putty round the bolt, in by hand, an hour’s rest <metal putty>'],
        {
          holds: 0.7,
          caution:
            'A thread held by putty can let go: never use it where a brake, an axle or the steering hangs on it.',
        },
      ),
      way('Tie in its place', 'limp', 10, 1, ['Ties round the part <cable tie ×2>'], [], { caution: HOT }),
    ],
  }),
  trouble({
    id: 'bolt-sheared',
    name: 'Bolt sheared in its hole',
    subject: 'loose and lost',
    rate: per(0.001, 0.003, 0.008),
    stops: false,
    nuisance: 2,
    ways: [
      way(
        'Turn the stump out',
        'proper',
        40,
        3,
        [
          'Punch the stump’s edge round, against the thread [punch out] [strike]',
          'Pliers as soon as it stands out [grip]',
        ],
        ['New bolt in <bolt M8>'],
        { holds: 0.5 },
      ),
      way(
        'Strap the part',
        'ride-out',
        15,
        1,
        ['Wire or ties round the part and its mount <wire> <cable tie ×2>'],
        [],
        { caution: HOT },
      ),
    ],
  }),
  trouble({
    id: 'key-lost',
    name: 'Key lost',
    subject: 'loose and lost',
    rate: per(0.005, 0.005, 0.008),
    ways: [
      way('The spare key', 'proper', 6, 1, ['Ask the one who carries the double'], ['Use it <spare key>'], {
        caution:
          'A spare key in the same pocket is lost with the first: give it to another person or hide it on the bike.',
      }),
      way('Ride back and look for it', 'proper', 90, 1, ['Go back to where it was last used'], [], {
        holds: 0.3,
        when: ['company'],
      }),
    ],
  }),
  trouble({
    id: 'exhaust',
    name: 'Exhaust fixing lost',
    subject: 'loose and lost',
    rate: per(0.01, 0.03, 0.06),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'New bolt',
        'proper',
        24,
        1,
        ['Let it cool', 'Line the silencer up {exhaust fixing}'],
        ['Bolt with two washers, tighten, look again <bolt M8> {exhaust fixing}'],
        {
          caution:
            'An exhaust stays hot for an hour and plastic melts on it: let it cool, and use wire or steel ties only.',
        },
      ),
      way(
        'Wire or steel tie',
        'ride-out',
        15,
        1,
        ['Let it cool', 'Wire round silencer and mount, twisted tight <wire> [grip]'],
        [],
        { caution: 'Plastic melts on an exhaust: use wire or steel ties only.' },
      ),
    ],
  }),
];
