import { per, trouble, type Trouble } from './trouble.js';
import { way } from './way.js';
import { COOLANT, FUEL, PLUG_HOT, RAIL, SIPHON, home } from './words.js';

const DROWNED =
  'Water in a cylinder bends the engine: take every plug out before you crank, and keep its lead far from the spray. Milky oil ruins the bearings: do not start on it.';

/** Fuel, air, cooling, oil, water in the engine. */
export const ENGINE: Trouble[] = [
  trouble({
    id: 'coolant-hose',
    name: 'Coolant hose leaks',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.004),
    only: { cooling: 'liquid' },
    ways: [
      way(
        'New piece of hose',
        'proper',
        42,
        2,
        [
          'Let it cool until a hand can rest on the hose; a can under it; clamps off {hose clamp}',
          'Cut the bad part out, square [cut]',
        ],
        [
          'Piece and two clamps in, clamps behind the beads <hose piece> {hose clamp}',
          'Fill up slowly; run warm, squeeze the hoses, fill up again; no drip <coolant>',
        ],
        { caution: COOLANT },
      ),
      way(
        'Splice in the hose',
        'ride-out',
        25,
        1,
        ['Let it cool; a can under it; cut it through at the leak [cut]'],
        ['Splice in, clamps on <hose splice> <hose clamp ×2> {hose clamp}', 'Fill up; run warm; no drip <coolant>'],
        { caution: COOLANT, lasts: { km: 500, kmh: 90 } },
      ),
      way(
        'Self-fusing tape',
        'ride-out',
        20,
        1,
        ['Let it cool; dry it'],
        [
          'Tape stretched to twice its length, half over half, a hand beyond the hole on both sides <self-fusing tape ×2>',
          'Fill up <coolant>',
          'Cap on its first notch so that no pressure builds',
        ],
        {
          holds: 0.7,
          caution: `${COOLANT} ${home('A taped hose')}`,
          lasts: { km: 100, kmh: 70 },
          ruin: 'pressure: watch the gauge',
        },
      ),
    ],
  }),
  trouble({
    id: 'overheating',
    name: 'Overheats: mud, fan or low coolant',
    subject: 'engine and fuel',
    rate: per(0.002, 0.006, 0.03),
    only: { cooling: 'liquid' },
    stops: false,
    nuisance: 1.5,
    ways: [
      way(
        'Wash the radiator, fill up',
        'proper',
        25,
        1,
        [
          'Engine off, let it cool; mud out from behind, along the fins [brush]',
          'Hands away from the fan: it may start by itself with the ignition on',
          'Cap off only when cold; level in radiator and tank',
        ],
        ['Fill up <coolant>', 'Run it warm: the fan comes on before the gauge is in the red'],
        { caution: COOLANT },
      ),
      way(
        'Rest, and ride where there is wind',
        'ride-out',
        40,
        1,
        ['Engine off, let it cool; then water on the fins, not on a hot engine'],
        [],
        {
          lasts: { km: 100, kmh: 70 },
          caution: COOLANT,
        },
      ),
    ],
  }),
  trouble({
    id: 'radiator-cap',
    name: 'Radiator cap lets go',
    subject: 'engine and fuel',
    rate: per(0.0005, 0.001, 0.002),
    only: { cooling: 'liquid' },
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Clean its seal, fill up',
        'proper',
        20,
        1,
        ['Engine off, cold: cap off; seal and seat wiped, looked at for cracks'],
        ['Fill up <coolant>', 'Cap on to its stop; run warm; no steam'],
        { holds: 0.6, caution: COOLANT },
      ),
      way('Top up at each stop', 'ride-out', 20, 1, ['Engine off, cold: fill up with water'], [], {
        caution: COOLANT,
        lasts: { km: 100, kmh: 70 },
        ruin: 'slow going in the heat',
      }),
    ],
  }),
  trouble({
    id: 'exhaust-leak',
    name: 'Exhaust blows at a joint',
    subject: 'engine and fuel',
    rate: per(0.001, 0.004, 0.008),
    stops: false,
    nuisance: 0.6,
    ways: [
      way(
        'Tighten the joint',
        'proper',
        20,
        1,
        ['Let it cool', 'Tighten evenly, a little at a time {exhaust fixing}'],
        [],
        {
          caution:
            'An exhaust stays hot for an hour: let it cool. What blows sets bags and grass alight: look what lies beside it.',
          holds: 0.7,
        },
      ),
      way(
        'A strip of sheet, wired round',
        'ride-out',
        25,
        1,
        ['Let it cool', 'Thin sheet round the joint, wire over it, twisted tight <alloy sheet> <wire ×2> [grip] [cut]'],
        [],
        {
          caution:
            'An exhaust stays hot for an hour: let it cool. Plastic melts on an exhaust: use wire or steel ties only.',
          lasts: { km: 300, kmh: 90 },
        },
      ),
    ],
  }),
  trouble({
    id: 'altitude',
    name: 'Runs rich high up',
    subject: 'engine and fuel',
    rate: per(0.002, 0.004, 0.004),
    only: { fuelling: 'carburettor' },
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Ride it a gear lower',
        'ride-out',
        5,
        1,
        [
          'Engine off: look that the air filter is clean {air filter?}',
          'A gear lower, half throttle; let it cool on long climbs',
        ],
        [],
        {
          lasts: { km: 300, kmh: 80 },
        },
      ),
      way(
        'Idle mixture and speed reset',
        'ride-out',
        20,
        2,
        ['Warm, idling, in neutral: mixture screw an eighth of a turn leaner, idle up'],
        ['Write down the turns; back to them lower down, else it runs too hot'],
        { caution: 'An engine that runs too lean burns a hole in its piston: set it back before you ride down.' },
      ),
    ],
  }),
  trouble({
    id: 'fuel-hose',
    name: 'Fuel hose leaks',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.003),
    ways: [
      way(
        'New hose',
        'proper',
        36,
        2,
        [
          'Ignition off, engine cold; tap shut, or pressure let off as the manual says; tank loose {tank}',
          'A rag under it; old hose off, clips kept [cut] [grip]',
        ],
        [
          'Hose of the same bore and kind on, clips behind the beads <fuel hose> [grip] {tank}',
          'Wipe, wait, sniff; ignition on, look for drips before you start',
        ],
        { caution: `${FUEL} ${RAIL}` },
      ),
      way(
        'Cut the end off, push it on again',
        'ride-out',
        25,
        1,
        [
          'Ignition off, engine cold; tap shut; tank loose {tank}',
          'A rag under it; cut the cracked end off, square [cut]',
        ],
        [
          'Push it on, its clip back, or two turns of wire twisted tight <wire> [grip] {tank}',
          'Wipe, wait, sniff; look for drips before you start',
        ],
        {
          only: { fuelling: 'carburettor' },
          holds: 0.6,
          caution: FUEL,
          lasts: { km: 150, kmh: 80 },
          ruin: 'heat; a hose that is hard all along',
        },
      ),
    ],
  }),
  trouble({
    id: 'fuel-pump',
    name: 'Fuel pump or filter fails',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.004),
    only: { fuelling: 'injection' },
    ways: [
      way(
        'New filter',
        'proper',
        72,
        3,
        [
          'Ignition on: does the pump hum for two seconds? Volts at its plug? [measure current]',
          'Ignition off, engine cold, pressure let off as the manual says; tank loose, a rag, hoses off {tank} [grip]',
        ],
        [
          'Filter in, arrow with the flow, clips on <fuel filter> [cut] {tank}',
          'Wipe, wait, sniff; ignition on, look for drips before you start',
        ],
        { holds: 0.6, caution: `${FUEL} ${RAIL}` },
      ),
      way(
        'Spare pump',
        'proper',
        80,
        3,
        [
          'Ignition off, engine cold, pressure let off as the manual says; minus off the battery {battery}',
          'Tank loose; fuel into a can; old pump out {tank} [grip] [siphon]',
        ],
        [
          'Pump in with its seal, hoses and clips on <fuel pump> {tank}',
          'Wipe, wait, sniff; minus on, ignition on, look for drips before you start {battery}',
        ],
        { holds: 0.9, caution: `${SIPHON} ${RAIL}` },
      ),
      way(
        'Knock on it, clean its plug',
        'limp',
        20,
        1,
        [
          'Ignition off, no smell of fuel: unplug the pump, wipe its pins dry, plug it in again',
          'Ignition on: knock on the tank by the pump with the hand',
        ],
        [],
        {
          holds: 0.3,
          caution:
            'Fuel catches fire: where it smells or drips, leave the ignition off, and keep flames and sparks away.',
          lasts: { km: 60, kmh: 70 },
          ruin: 'switching it off: it may not start again',
        },
      ),
    ],
  }),
  trouble({
    id: 'carburettor',
    name: 'Carburettor floods or starves',
    subject: 'engine and fuel',
    rate: per(0.004, 0.008, 0.015),
    only: { fuelling: 'carburettor' },
    ways: [
      way(
        'Bowl off, jet blown through',
        'proper',
        50,
        2,
        [
          'Ignition off, engine cold, tap shut; bowl drained into a can',
          'Bowl’s screws out, bowl off; a clean cloth under it {carburettor bowl}',
          'Float and its needle: clean, moving freely; jet out, held against the light [pick]',
        ],
        [
          'Blow through from behind, no wire in it; jet in',
          'Bowl on with its ring {carburettor bowl}',
          'Tap open; wipe, wait: no drip before you start',
        ],
        { caution: FUEL },
      ),
      way(
        'Knock on the bowl',
        'ride-out',
        5,
        1,
        ['Engine off, tap shut; knock with a piece of wood; drain the bowl into a can, tap open'],
        [],
        {
          holds: 0.4,
          lasts: { km: 100, kmh: 90 },
          caution: FUEL,
        },
      ),
    ],
  }),
  trouble({
    id: 'bad-fuel',
    name: 'Water or dirt in the fuel',
    subject: 'engine and fuel',
    rate: per(0.001, 0.003, 0.005),
    ways: [
      way(
        'Drain, new filter',
        'proper',
        60,
        2,
        ['Ignition off, engine cold; tank loose, fuel out through a hose into a can {tank} [siphon]'],
        [
          'New filter, arrow with the flow; good fuel in <fuel filter> [grip] {tank}',
          'Wipe, wait, sniff; look for drips before you start',
        ],
        { holds: 0.8, caution: `${SIPHON} ${RAIL}` },
      ),
      way(
        'Let it settle, drain the bottom',
        'ride-out',
        60,
        2,
        ['Engine off, cold; half an hour’s rest; draw the bottom off into a can [siphon]'],
        [],
        { holds: 0.5, caution: SIPHON, lasts: { km: 150, kmh: 80 } },
      ),
    ],
  }),
  trouble({
    id: 'out-of-fuel',
    name: 'Out of fuel',
    subject: 'engine and fuel',
    rate: per(0.002, 0.004, 0.006),
    ways: [
      way(
        'Siphon from a companion',
        'proper',
        20,
        1,
        [
          'Both engines off and cold, in the open',
          'Hose into the fuller tank; start it by its bulb or by filling the hose [siphon]',
        ],
        ['Enough for each to the next pump; caps shut; wipe what was spilt'],
        { when: ['company'], caution: SIPHON },
      ),
      way(
        'The companion fetches some',
        'proper',
        90,
        1,
        ['Push the bike into the shade, wait'],
        ['Fill from the can'],
        { when: ['company'], caution: FUEL },
      ),
      way(
        'Lay it over for the last drops',
        'limp',
        10,
        1,
        ['Engine off; lean it to the side of the tap, then ride gently'],
        [],
        {
          holds: 0.5,
          lasts: { km: 10, kmh: 50 },
        },
      ),
    ],
  }),
  trouble({
    id: 'drowned',
    name: 'Engine drowned',
    subject: 'engine and fuel',
    rate: per(0, 0, 0),
    perCrossing: 0.01,
    ways: [
      way(
        'Plug out, blow it dry',
        'proper',
        60,
        2,
        [
          'Out of the water, nose up; do not press the starter',
          'Let it cool; every plug out, its lead tied away to the side {plug}',
          'Seat and air box open, water out; exhaust tipped empty {seat} {air filter}',
          'Oil in the glass or on the dipstick: milky means water in it: do not start, change it first',
        ],
        [
          'Nobody near the plug holes; crank with the plugs out until no more water comes',
          'Filter wrung out, plugs in by hand, then tight {plug} {air filter} {seat}',
          'Start, let it warm; look at the oil again; change it soon',
        ],
        {
          caution: DROWNED,
        },
      ),
      way(
        'New plug',
        'proper',
        50,
        2,
        [
          'Out of the water, nose up; do not press the starter',
          'Let it cool; every plug out, its lead tied away to the side {plug}',
          'Seat and air box open, water out {seat} {air filter}',
          'Oil milky: do not start, change it first',
        ],
        [
          'Nobody near the plug holes; crank with the plugs out until no more water comes',
          'New plug in by hand, then tight; filter wrung out <spark plug> {plug} {air filter} {seat}',
          'Start, let it warm; look at the oil again; change it soon',
        ],
        {
          caution: DROWNED,
        },
      ),
    ],
  }),
  trouble({
    id: 'plug-fouled',
    name: 'Plug fouled or cap off',
    subject: 'engine and fuel',
    rate: per(0.001, 0.003, 0.005),
    ways: [
      way(
        'New plug',
        'proper',
        25,
        1,
        ['Let the engine cool; lead off; blow the dust away; plug out {plug}'],
        ['New plug in by hand to its seat, then tight; cap on until it clicks <spark plug> {plug}'],
        { caution: PLUG_HOT },
      ),
      way(
        'Clean it',
        'ride-out',
        30,
        1,
        ['Let the engine cool; lead off; blow the dust away; plug out {plug}', 'Brush it dry, gap by feel [brush]'],
        ['In by hand to its seat, then tight {plug}'],
        {
          holds: 0.7,
          caution: PLUG_HOT,
          lasts: { km: 300, kmh: 90 },
        },
      ),
    ],
  }),
  trouble({
    id: 'air-filter',
    name: 'Air filter choked by dust or water',
    subject: 'engine and fuel',
    rate: per(0.002, 0.015, 0.04),
    stops: false,
    nuisance: 1,
    ways: [
      way(
        'Fresh filter',
        'proper',
        20,
        1,
        ['Cover off; wipe the box before the filter comes out {air filter}'],
        ['The oiled one from its bag in, its edge sealed all round <air filter> {air filter}'],
      ),
      way(
        'Knock it out',
        'ride-out',
        20,
        1,
        ['Cover off; wipe the box before the filter comes out; knock the dust out away from it {air filter}'],
        ['Back in, its edge sealed all round {air filter}'],
        { lasts: { km: 300, kmh: 90 }, ruin: 'the next dust' },
      ),
    ],
  }),
  trouble({
    id: 'oil-leak',
    name: 'Oil leak at plug, filter or cover',
    subject: 'engine and fuel',
    rate: per(0.002, 0.004, 0.01),
    ways: [
      way(
        'Tighten, seal, top up',
        'proper',
        40,
        2,
        [
          'Engine off, let it cool; wipe, look where it comes from',
          'Tighten a little, never by force {oil drain} {oil filter?}',
        ],
        [
          'Drain plug: a new washer <drain washer>',
          'Where it weeps: degrease, a bead, an hour’s rest <cleaner> <liquid gasket>',
          'Oil to the mark; run it, look again <engine oil>',
          'Wipe tyre and disc',
        ],
        { holds: 0.8, caution: 'Oil on the rear tyre or the disc makes you fall: wipe both before you ride.' },
      ),
      way(
        'Top up and look at every stop',
        'ride-out',
        15,
        1,
        ['Engine off, let it cool; tighten a little {oil drain}'],
        ['Oil to the mark <engine oil>'],
        {
          lasts: { km: 200, kmh: 80 },
          caution: 'Without oil the engine seizes: do not run it below the mark.',
        },
      ),
    ],
  }),
  trouble({
    id: 'o-ring',
    name: 'O-ring or seal weeps',
    subject: 'engine and fuel',
    rate: per(0.001, 0.002, 0.003),
    stops: false,
    nuisance: 0.8,
    ways: [
      way(
        'New ring of its size',
        'proper',
        30,
        2,
        [
          'Engine off, cold, what is behind it drained or shut off: oil, coolant or fuel',
          'Cover or union off; old ring picked out; its groove wiped [pick] <cleaner>',
        ],
        ['Ring of the same size and thickness, oiled, no twist in it <o-ring>', 'Cover on; run it, look: no drip'],
        { holds: 0.8, caution: `${FUEL} Oil on a tyre or a brake makes you fall: wipe both.` },
      ),
      way(
        'A bead of gasket',
        'ride-out',
        80,
        2,
        ['Engine off, cold; cover off, both faces wiped and degreased <cleaner>'],
        ['A thin bead, cover on, an hour’s rest <liquid gasket>', 'Run it, look: no drip'],
        {
          holds: 0.6,
          caution:
            'Most gaskets dissolve in fuel: none on a fuel joint. Oil on a tyre or a brake makes you fall: wipe both.',
          lasts: { km: 500, kmh: 90 },
        },
      ),
    ],
  }),
];
