import { at } from '../ground/numbers.js';
import type { Bike } from '../bike/index.js';
import type { Skill } from '../repairs/index.js';
import type { Companion } from './companion.js';
import { newPerson, type Person } from './person.js';
import { templateBike, templateFasteners, type BikeKind } from './template.js';

/** A companion read from one line, and the words that say nothing known. */
export interface ReadCompanion {
  companion: Companion;
  /** What each part was taken for, in the order typed. */
  parts: { text: string; as: string }[];
  unread: string[];
}

const KIND_WORDS: readonly (readonly [RegExp, BikeKind])[] = [
  [/^(?:hard )?enduro\b/u, 'enduro'],
  [/^(?:trail|trials?|small trail)\b/u, 'trail'],
  [/^(?:dual[- ]?sport|dirt ?bike|off[- ]?road)\b/u, 'dual-sport'],
  [/^(?:big )?(?:adventure|adv|big twin|twin)\b/u, 'adventure'],
  [/^(?:touring|tourer)\b/u, 'touring'],
  [/^cruiser\b/u, 'cruiser'],
  [/^(?:street|naked|road|sport)\b/u, 'street'],
  [/^scooter\b/u, 'scooter'],
];
const HANDS: readonly (readonly [RegExp, Skill])[] = [
  [/^(?:has done it before|mechanic|skilled|experienced)$/u, 3],
  [/^(?:handy|some skill)$/u, 2],
  [/^(?:anybody|beginner|new|no tools|not handy)$/u, 1],
];
/** Words that say one thing of the bike. */
const TRAITS: readonly (readonly [RegExp, Partial<Bike>, string])[] = [
  [/^tubes?$|^tubed$/u, { tyres: 'tubed', wheels: 'spoked' }, 'tyres with tubes'],
  [/^tubeless$/u, { tyres: 'tubeless' }, 'tubeless tyres'],
  [/^chain$/u, { drive: 'chain' }, 'chain'],
  [/^shaft$/u, { drive: 'shaft' }, 'shaft'],
  [/^belt$/u, { drive: 'belt' }, 'belt'],
  [/^kick(?: ?start(?:er)?)?$/u, { starter: 'kick' }, 'kick starter'],
  [/^carburettor$|^carb$/u, { fuelling: 'carburettor' }, 'carburettor'],
  [/^two[- ]?stroke$/u, { strokes: 2 }, 'two-stroke'],
  [/^air[- ]?cooled$/u, { cooling: 'air' }, 'air-cooled'],
];

/**
 * A companion of whom one knows little, from one line: `Ada, enduro 250, tubes, handy`. The first part is the name; the others come in any order:
 * kind of bike and its size in cc, tyres, drive, starter, what they can do, `first aid`, `90 kg` in gear, `tank 12`, `carries 4 kg`.
 * The bike is one of that kind with assumed heads.
 * @param nextId makes ids
 */
export function readCompanion(line: string, nextId: () => string): ReadCompanion {
  const [name = '', ...rest] = line
    .split(',')
    .map((p) => p.trim())
    .filter((p) => p !== '');
  const parts: ReadCompanion['parts'] = [{ text: name, as: 'name' }];
  const unread: string[] = [];
  const person: Partial<Person> = { name: name.slice(0, 120), hand: 1 };
  const traits: Partial<Bike> = {};
  let kind: BikeKind | null = null;
  let called = '';
  const number = (text: string, re: RegExp): number | null => {
    const m = re.exec(text);
    return m ? Number(at(m, 1).replace(',', '.')) : null;
  };
  for (const text of rest) {
    const low = text.toLowerCase();
    const took = (as: string) => void parts.push({ text, as });
    const hand = HANDS.find(([re]) => re.test(low));
    const trait = TRAITS.find(([re]) => re.test(low));
    const of = KIND_WORDS.find(([re]) => re.test(low));
    const kg = number(low, /^(\d{2,3}(?:[.]\d)?) ?kg$/u);
    const carries = number(low, /^carries (\d{1,2}(?:[.]\d)?) ?kg$/u);
    const tank = number(low, /^tank (\d{1,2}(?:[.]\d)?) ?l?$/u);
    if (hand) {
      person.hand = hand[1];
      took('what they can do');
    } else if (trait) {
      Object.assign(traits, trait[1]);
      took(trait[2]);
    } else if (low === 'first aid' || low === 'first-aid') {
      person.firstAid = true;
      took('trained in first aid');
    } else if (kg !== null && kg >= 35 && kg <= 250) {
      person.mass = kg * 1000;
      took('weight in riding gear');
    } else if (carries !== null) {
      person.mayCarry = carries * 1000;
      took('may carry');
    } else if (tank !== null && tank >= 2 && tank <= 45) {
      traits.tank = tank;
      took('tank');
    } else if (of) {
      kind = of[1];
      called = text;
      took('bike');
    } else unread.push(text);
  }
  const bikeName = called === '' ? `${name || 'Companion'}’s bike` : `${name}’s ${called}`;
  const bike = { ...templateBike(nextId(), bikeName.slice(0, 120), kind), ...traits };
  return {
    parts,
    unread,
    companion: {
      id: nextId(),
      person: newPerson(person),
      bikes: [bike],
      fasteners: templateFasteners(bike, nextId),
      pieces: [],
      supplies: [],
      places: [],
      kinds: [],
      from: { by: 'line', line: line.slice(0, 200) },
      note: '',
    },
  };
}
