import type { UnitSystem } from '@necessaire/core';

/** What the lines teach: each of these is read as it stands, which a test holds. */
export const ENTRY_LINES = {
  placeholder: (units: UnitSystem) => (units === 'inch' ? '1-1/16 axle nut 72 lb-ft' : '27 axle nut 98 nm'),
  /** Words that may follow a size and a name. */
  hints: (units: UnitSystem) => [
    '2 ends',
    'far i10',
    'x4',
    'm8',
    units === 'inch' ? '33 lb-ft' : '45 nm',
    units === 'inch' ? 'sunk 2.4in' : 'sunk 60',
    'thin 5',
    'loose',
    'note: …',
  ],
  list: '27 axle nut 98 nm at rear wheel\n8 mm inside hex seat bolt\n10 screen bolt x4',
};
export const ITEM_LINES = {
  placeholder: 'socket 3/8 deep 14, ring 12/13, bit t30 x2',
  /** Words that may follow a kind and a size. */
  hints: (units: UnitSystem) => ['x2', units === 'inch' ? '3oz' : '86g', '5€', 'worn', 'in garage'],
  alone: ['20 cable ties', 'set'],
  list: 'sockets 3/8 8-19\n2 tyre levers\nneedle nose\n20 cable ties, front tube',
};
