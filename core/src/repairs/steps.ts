/** Steps that several repairs share, each said once: the order of the hands is the same wherever it is done. */

/** A spark plug out of a cool engine, and a new one in. */
export const PLUG_OUT = [
  'Let the engine cool',
  'Pull the plug’s cap off and blow the dust away',
  'Screw the plug out {plug}',
];
export const NEW_PLUG_IN = [
  'Turn the new plug in by hand to its seat; then tighten it <spark plug> {plug}',
  'Press the cap on until it clicks',
];

/** An air filter out without its dust falling in, and the oiled one in. */
export const FILTER_OUT = ['Take the cover off {air filter}', 'Wipe the box before you take the filter out'];
export const FILTER_IN = [
  'Fit the oiled filter from its bag, its edge sealed all round <air filter>',
  'Put the cover on {air filter}',
];

/** A strap to be towed by, that its rider can let go at any moment. */
export const STRAP_ON = [
  'Tie the strap to the other bike’s rear frame [tow]',
  'Wind it once round this bike’s foot peg and hold its end under your boot',
];
export const STRAP_TRIED = 'Try it once, standing: lift your boot, and the strap must run free';

/** The bike stays where it is. */
export const LEAVE_IT = ['Hide and lock the bike, and note the place', 'Take water, papers and a light with you'];
