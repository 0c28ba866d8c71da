import {
  CAUTIONS,
  STATION_NAMES,
  type CheckFact,
  type DryWhy,
  type PlainCheck,
  type UnitSystem,
} from '@necessaire/core';
import { LOOK_WORDS } from './looks.js';
import { named } from './named.js';
import { measure, say, shownAs, type Saying } from './saying.js';
import { intervalWords } from './trip.js';
import type { Having } from './wordsOf.js';

/** What a check is called, how it is done, what happens where it is left, and what to mind. */
export interface TextOfCheck {
  name: string;
  how: string | Saying;
  why: string;
  caution?: string;
}
/** The same with nothing left out. */
export interface WordsOfCheck {
  name: string;
  how: Saying;
  why: string;
  caution: string;
}

const distance = (km: number) => measure('distance', km);

const PLAIN: Readonly<Record<PlainCheck, TextOfCheck>> = {
  'check.sealant': {
    name: 'Sealant still wet',
    how: 'Turn the valve to the bottom, let some air out through a wire: it comes out wet. Top it up by the maker’s figure where it does not.',
    why: 'It dries within a year and seals nothing then.',
    caution: 'A valve core flies out under pressure: let the air out first, and keep your face away from it.',
  },
  'check.glue': {
    name: 'Patches: the glue is wet',
    how: 'Open it and look: it must be liquid. An opened tube is replaced each season; a small shut one goes beside it.',
    why: 'Glue dries in an opened tube within months.',
  },
  'check.rust': {
    name: 'Steel tools oiled',
    how: 'Wipe sockets, spanners and joints with an oily rag, and dry the roll before they go back.',
    why: 'A seized ratchet and a rusted socket are found when they are needed.',
  },
  'check.gas': {
    name: 'Gas cartridges full, and their head fits',
    how: 'Weigh each against a new one, look for rust, and screw the empty head on a valve.',
    why: 'A cartridge that leaked looks like a full one.',
    caution: 'Gas cartridges freeze skin and burst when hot: keep them from exhaust and sun.',
  },
  'check.sit-against': {
    name: 'Packed, and sat against',
    how: 'Load everything, sit and stand on the bike, turn the bars to both stops, and push it once round: nothing may touch, and you reach the ground.',
    why: 'A bag in the small of the back is felt after an hour.',
  },
  'check.rehearsal': {
    name: 'A weekend as if it were the trip',
    how: 'Ride two days near home with the whole load, and use only what is on the bike. Write down what you missed and what you never touched.',
    why: 'Near home a fault costs an afternoon.',
  },
  'check.spare-key': {
    name: 'Spare key with somebody else',
    how: 'Give the second key to a companion, and take theirs.',
    why: 'A key in the same pocket is lost with the first.',
  },
  'check.papers': {
    name: 'Papers, money and numbers',
    how: 'Licence, registration, insurance, recovery number, cards and cash: on you, with copies in a bag. Somebody at home knows the way and when you are back.',
    why: 'Without them a small problem ends the trip.',
  },
  'check.card': {
    name: 'Pocket card filled in and printed',
    how: 'Print it under Calendar and paper, write the emergency lines by hand, and put it in your jacket.',
    why: 'Phones break and run flat.',
  },
};

const limits = ({ lastsKm, lastsKmh }: Having<CheckFact, 'check.watch'>): Saying =>
  lastsKm === null
    ? say``
    : lastsKmh === null
      ? say` Good for ${distance(lastsKm)} in all.`
      : say` Good for ${distance(lastsKm)} at no more than ${measure('speed', lastsKmh)}.`;

function textOf(f: CheckFact): TextOfCheck {
  switch (f.code) {
    case 'check.look':
      return LOOK_WORDS[f.look];
    case 'check.marks':
      return {
        name: `Torque marks: ${STATION_NAMES[f.station]}`,
        how: `Look at the paint mark on ${named(f.names)}. Where a mark is broken, tighten it to the manual’s torque and paint a new one.`,
        why: 'What shakes loose here is found before it is lost.',
        caution: f.critical ? CAUTIONS.BRAKES : '',
      };
    case 'check.service': {
      const due = intervalWords(f.due);
      return {
        name: f.name,
        how: f.overdue
          ? say`It is overdue: do it before you leave, and write it down in Trip. ${due}`
          : say`It falls due on the trip: do it before you leave, or take along what it uses. ${due}`,
        why: 'Work that is done at home needs no tools on the way.',
      };
    }
    case 'check.watch':
      return {
        name: `Look again: ${f.name}`,
        how: say`${f.why}. Look at it every ${distance(f.everyKm)}.${limits(f)}${f.ended ? ' What it is good for has ended: have it replaced before you ride on.' : ''}`,
        why: 'It holds until a workshop has seen to it.',
        caution: f.caution,
      };
    case 'check.own':
      return { name: f.name, how: f.how, why: 'Your own.' };
    case 'check.tube':
      return {
        name: `${f.name} holds air`,
        how: 'Pump it up, leave it overnight and look the next day. Then roll it flat, talc it, and keep it away from what pierces.',
        why: 'A tube that rubbed in its bag is flat when it is needed.',
      };
    case 'check.pump':
      return {
        name: `${f.name} on the bike’s own valves`,
        how: 'Screw its hose on each valve and give ten strokes: it must go on beside the disc, and hold.',
        why: 'A hose that is too thick or a dry washer makes a pump of no use.',
      };
    case 'check.worn':
      return {
        name: `Worn: ${f.name}`,
        how: 'You marked it worn: look at its jaws or tip, and replace it where it slips.',
        why: 'A worn tool rounds heads.',
      };
    case 'check.date':
      return {
        name: `${f.name}: date`,
        how: `It keeps until ${f.until}, by the day when it was bought or opened: look at it, and replace it.`,
        why: 'What dried or spoiled does not hold.',
      };
    case 'check.charge':
      return {
        name: `Charge: ${f.name}`,
        how: `Charge it or change its cells, and switch it on. Laid up it is charged every ${f.everyDays} days, at room temperature.`,
        why: 'A pack loses charge as it lies, and quickly in the cold.',
        caution: f.lithium ? 'A lithium pack that is hot, swollen or was wet is not charged and not carried.' : '',
      };
    case 'check.gauge':
      return {
        name: 'Tyre gauge beside a good one',
        how: f.comparedOn
          ? `Compared on ${f.comparedOn}. Measure one tyre with yours and with a good one, and enter both.`
          : 'Measure one tyre with yours and with a good one, and enter both: Air then says what yours must show.',
        why: 'A cheap gauge is off by more than a rider feels.',
      };
    case 'check.buy':
      return {
        name: 'Bought and packed',
        how: `The kit counts on what you do not own yet: ${named(
          f.things.map((t) => (t.count > 1 ? `${t.name} ×${t.count}` : t.name)),
          8,
        )}.`,
        why: 'What is not bought is not there.',
      };
    case 'check.loan':
      return {
        name: `${f.to === 'missing' ? 'Find or replace' : 'Get back'}: ${f.name}`,
        how:
          f.to === 'missing'
            ? `It was missing on ${f.on}. Say in Crew, under lent things, when it is found or replaced.`
            : `Lent to ${f.to || 'somebody'} on ${f.on}. Say in Crew, under lent things, when it is back.`,
        why: 'Until then every kit is worked out without it.',
      };
    case 'check.no-place':
      return {
        name: 'Everything has a place',
        how: `No place was found for ${named(f.names)}: look at Stow.`,
        why: 'What has no place stays at home.',
      };
    case 'check.lashings':
      return {
        name: 'Lashings and ties',
        how: `Pull at every strap and tie of ${f.places.slice(0, 5).join(', ')}; look for what rubs on hose, cable, tyre or exhaust.`,
        why: 'A strap that comes loose goes into the wheel.',
        caution: 'A loose strap stops a wheel dead: tuck every end away.',
      };
    case 'check.first-stop':
      return {
        name: 'First stop: straps and marks',
        how: say`Stop after ${distance(f.km)}: straps, rattle, rubbing, chain slack, and the torque marks of what you turned last.`,
        why: 'What settles does so in the first hour.',
      };
    case 'check.fuel-water':
      return {
        name: 'Fuel and water for the longest gap',
        how: f.gap
          ? 'Fill up, and take what Trip says for the longest way between pumps, in approved cans away from exhaust and sun. Fill the bottles.'
          : 'Fill up, and fill the bottles.',
        why: 'Both run out far from where they are sold.',
      };
    default:
      return PLAIN[f.code];
  }
}

/** What a check is called, how it is done, why, and what to mind. */
export function checkWords(f: CheckFact): WordsOfCheck {
  const { name, how, why, caution = '' } = textOf(f);
  return { name, how: typeof how === 'string' ? say`${how}` : how, why, caution };
}

/** A check as a calendar has it: its name, and how it is done, why, and what to mind. */
export const calendarWords =
  (units: UnitSystem) =>
  ({ about }: { about: CheckFact }): { name: string; text: string } => {
    const { name, how, why, caution } = checkWords(about);
    return { name, text: [shownAs(units, how), why, caution].filter(Boolean).join('\n') };
  };

/** Why a way is only gone through dry. */
export const DRY_WORDS: Readonly<Record<DryWhy, string>> = {
  'dry.people': 'It is done to people: talk it through, and take a first-aid course.',
  'dry.road': 'It ends on the road: lay out each tool and talk the steps through.',
  'dry.harms': 'It harms a sound bike, or needs one that is not: lay out each piece and go through the steps.',
};
