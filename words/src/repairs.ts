import type { LastingFact, SheetFact, SupplyFact } from '@necessaire/core';
import { measure, say, together, type Saying } from './saying.js';
import type { WordsOf } from './wordsOf.js';

const madeFor = ({ fits, because }: Extract<SupplyFact, { code: 'supply.made-for' }>): Saying =>
  because.length > 0 ? say`made for ${fits}: ${together(because.map(supply), ', ')}` : say`made for ${fits}`;

/** Why a supply does not count for a bike. */
function supply(f: SupplyFact): Saying {
  switch (f.code) {
    case 'supply.spent':
      return say`spent`;
    case 'supply.stays-home':
      return say`stays at home`;
    case 'supply.other-bike':
      return say`fitted on another bike`;
    case 'supply.takes-none':
      return say`this bike takes none`;
    case 'supply.past-date':
      return say`past its date, ${f.until}`;
    case 'supply.rim':
      return say`for a ${f.rim} inch rim, the tyre is ${f.tyre}`;
    case 'supply.differs':
      return say`${f.what} ${f.there}, here ${f.here}`;
    case 'supply.made-for':
      return madeFor(f);
  }
}
export const SUPPLY_WORDS: WordsOf<SupplyFact> = {
  'supply.spent': supply,
  'supply.stays-home': supply,
  'supply.other-bike': supply,
  'supply.takes-none': supply,
  'supply.past-date': supply,
  'supply.rim': supply,
  'supply.differs': supply,
  'supply.made-for': madeFor,
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
