import { z } from 'zod';
import { grams, name } from '../ground/fields.js';
import { SUBJECTS, type Subject } from '../repairs/index.js';
import { SKILLS, type Skill } from '../repairs/way.js';
import { riderSchema } from '../stow/load/rider.js';
import { NEW_RIDER } from '../stow/load/rider.js';

const skill = z.literal(SKILLS);

/** Somebody who rides: what they weigh, what they can do, and what they may carry of the crew's kit. */
export const personSchema = z.strictObject({
  ...riderSchema.shape,
  /** What they are called on lists; empty for “You” until they say so. */
  name: name.or(z.literal('')),
  /** What they can do where no subject says otherwise: 1 what anybody can, 2 handy, 3 has done it before. */
  hand: skill,
  /** What they can do in a subject of repair, where it differs. */
  skills: z.partialRecord(z.enum(SUBJECTS), skill),
  /** Whether they are trained in first aid. */
  firstAid: z.boolean(),
  /** Grams of the kit that they may carry on the bike; null for what its places bear and the maker allows. */
  mayCarry: grams.nullable(),
  /** Grams and litres of it on the body; 0 for nothing. */
  onBody: grams,
  bodyLitres: z.number().min(0).max(60),
});
export type Person = z.infer<typeof personSchema>;

/** The one whose garage it is, until something is said of them: the practice’s default hand has done it before. */
export const newPerson = (given: Partial<Person> = {}): Person => ({
  ...NEW_RIDER,
  name: '',
  hand: 3,
  skills: {},
  firstAid: false,
  mayCarry: null,
  onBody: 0,
  bodyLitres: 0,
  ...given,
});

/** What somebody can do in a subject of repair. */
export const skillIn = (person: Pick<Person, 'hand' | 'skills'>, subject: Subject): Skill =>
  person.skills[subject] ?? person.hand;
