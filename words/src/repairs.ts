import type { LastingFact, SheetFact, SupplyFact } from '@necessaire/core';
import { measure, say, together } from './saying.js';
import { wordsBy, type WordsOf } from './wordsOf.js';

/** Why a supply does not count for a bike. */
export const SUPPLY_WORDS: WordsOf<SupplyFact> = {
  'supply.spent': 'spent',
  'supply.stays-home': 'stays at home',
  'supply.other-bike': 'fitted on another bike',
  'supply.takes-none': 'this bike takes none',
  'supply.past-date': ({ until }) => say`past its date, ${until}`,
  'supply.rim': ({ rim, tyre }) => say`for a ${rim} inch rim, the tyre is ${tyre}`,
  'supply.differs': ({ what, there, here }) => say`${what} ${there}, here ${here}`,
  'supply.made-for': ({ fits, because }) => {
    const reasons = together(
      because.map((f) => wordsBy(SUPPLY_WORDS, f)),
      ', ',
    );
    return because.length > 0 ? say`made for ${fits}: ${reasons}` : say`made for ${fits}`;
  },
};

/** What on a fit sheet does not go together, and how long a repair lasts. */
export const REPAIR_WORDS: WordsOf<SheetFact | LastingFact> = {
  'sheet.chain-tool': ({ opens, chain }) => say`the chain tool opens ${opens} at most, this chain is a ${chain}`,
  'sheet.tube': ({ rim, tyre }) => say`a tube for a ${rim} inch rim does not go into the ${tyre} tyre`,
  'way.lasting': ({ lasts, ruin }) =>
    together(
      [
        ...(lasts
          ? [
              say`Good for about ${measure('distance', lasts.km)} at no more than ${measure('speed', lasts.kmh)}: a typical value, the maker’s rule comes first.`,
            ]
          : []),
        ...(ruin ? [say`What ends it: ${ruin}.`] : []),
      ],
      ' ',
    ),
};
