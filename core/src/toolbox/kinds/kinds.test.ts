import { describe, expect, test } from '@jest/globals';
import { printShape, SIX_LOBE } from '../../ground/sizes/index.js';
import { readTools } from '../line/index.js';
import type { Mode, PieceModel } from '../tools/piece.js';
import { CALLED, catalogue, TOOL_KINDS } from './all.js';
import { keySet, lKey, lobeKey, tyreLever } from './index.js';

/** A piece in one line a mode, as it is checked against the formulas of docs/model.md, section 2. */
const modeTold = (m: Mode): string =>
  [
    m.offer.by === 'hand'
      ? `${m.offer.hold} ${m.offer.arm}${m.offer.takesPipe ? ' pipe' : ''}`
      : `by ${printShape(m.offer.shape)}`,
    ` turns ${printShape(m.turns)} ${m.grip === 'six' ? '' : `${m.grip} `}${m.bears} N·m`,
    `, ${m.length}×${m.width}×${m.thickness}, hollow ${m.hollow}, step ${m.step}`,
    m.opensTo === null ? '' : `, opens to ${m.opensTo}`,
    m.swivels ? ', swivels' : '',
  ].join('');
const told = (m: PieceModel): string[] => [
  `${m.mass} g`,
  `${m.size.length}×${m.size.width}×${m.size.height}`,
  `${m.price} €`,
  ...m.modes.map(modeTold),
  ...m.functions,
  `(${m.kind}: ${m.traits.join(' ')})`,
];

/** One or two of each maker. */
const PIECES: Readonly<Record<string, readonly string[]>> = {
  'Combination spanner 17': [
    '145 g',
    '241×40×11',
    '12.4 €',
    'spanner 224 pipe turns hex 17 twelve 173 N·m, 14×29×11, hollow 100, step 30',
    'spanner 224 pipe turns hex 17 open 87 N·m, 0×40×6, hollow 100, step 30',
    '(combination spanner: hard conductive)',
  ],
  'Combination spanner ½ in': [
    '75 g',
    '185×31×9',
    '10 €',
    'spanner 172 turns hex ½ in twelve 97 N·m, 11×22×9, hollow 100, step 30',
    'spanner 172 turns hex ½ in open 48 N·m, 0×31×5, hollow 100, step 30',
    '(combination spanner: hard conductive)',
  ],
  'Ring spanner 12 and 13': [
    '76 g',
    '179×23×12',
    '11.8 €',
    'spanner 166 turns hex 12 twelve 86 N·m, 11×21×8, hollow 100, step 30',
    'spanner 166 turns hex 13 twelve 101 N·m, 12×23×9, hollow 100, step 30',
    '(ring spanner: hard conductive)',
  ],
  'Open spanner 14 and 17': [
    '112 g',
    '219×40×7',
    '10.2 €',
    'spanner 202 turns hex 14 open 59 N·m, 0×33×5, hollow 100, step 30',
    'spanner 202 pipe turns hex 17 open 87 N·m, 0×40×6, hollow 100, step 30',
    '(open spanner: hard conductive)',
  ],
  'Adjustable spanner 200 mm': [
    '200 g',
    '200×48×11',
    '18 €',
    'spanner 180 turns hex 6 adjustable 115 N·m, 0×48×11, hollow 100, step 30, opens to 24',
    '(adjustable: hard conductive)',
  ],
  'Adjustable spanner 150 mm, wide jaw': [
    '150 g',
    '150×56×8',
    '15.5 €',
    'spanner 135 turns hex 6 adjustable 157 N·m, 0×56×8, hollow 100, step 30, opens to 28',
    '(adjustable: hard conductive)',
  ],
  'Adjustable spanner 250 mm, light alloy': [
    '230 g',
    '250×68×14',
    '48 €',
    'spanner 225 turns hex 6 adjustable 231 N·m, 0×68×14, hollow 100, step 30, opens to 34',
    '(adjustable: hard conductive)',
  ],
  'Socket ¼ in, 10': [
    '15 g',
    '25×16×16',
    '4.8 €',
    'by square drive ¼ in turns hex 10 30 N·m, 25×16×0, hollow 11, step 0',
    '(socket: hard conductive)',
  ],
  'Socket ⅜ in, 14 deep': [
    '65 g',
    '63×22×22',
    '6.9 €',
    'by square drive ⅜ in turns hex 14 100 N·m, 63×22×0, hollow 47, step 0',
    '(socket: hard conductive)',
  ],
  'Socket ½ in, 24': [
    '140 g',
    '38×35×35',
    '8.7 €',
    'by square drive ½ in turns hex 24 250 N·m, 38×35×0, hollow 17, step 0',
    '(socket: hard conductive)',
  ],
  'Socket ⅜ in, 12-point 12': [
    '32 g',
    '28×19×19',
    '5.4 €',
    'by square drive ⅜ in turns hex 12 twelve 86 N·m, 28×19×0, hollow 13, step 0',
    '(socket: hard conductive)',
  ],
  'Plug socket ⅜ in, 16': [
    '92 g',
    '65×21×21',
    '9 €',
    'by square drive ⅜ in turns spark plug hex 16 60 N·m, 65×21×0, hollow 52, step 0',
    '(plug spanner: hard conductive)',
  ],
  'Plug socket ⅜ in, 16, long, magnetic': [
    '126 g',
    '90×21×21',
    '13 €',
    'by square drive ⅜ in turns spark plug hex 16 60 N·m, 90×21×0, hollow 77, step 0',
    '(plug spanner: hard conductive)',
  ],
  'Bit socket ¼ in, inside hex 5': [
    '17 g',
    '37×12×12',
    '6 €',
    'by square drive ¼ in turns inside hex 5 30 N·m, 37×12×0, hollow 0, step 0',
    '(socket: hard conductive)',
  ],
  'Bit socket ⅜ in, T40': [
    '42 g',
    '48×17×17',
    '6.7 €',
    'by square drive ⅜ in turns six-lobe T40 60 N·m, 48×17×0, hollow 0, step 0',
    '(socket: hard conductive)',
  ],
  'Bit socket ½ in, E16': [
    '100 g',
    '60×22×22',
    '10.4 €',
    'by square drive ½ in turns outside six-lobe E16 128 N·m, 60×22×0, hollow 0, step 0',
    '(socket: hard conductive)',
  ],
  'Bit T30': [
    '5 g',
    '25×8×8',
    '1.2 €',
    'by hex ¼ in turns six-lobe T30 30 N·m, 17×7.3×0, hollow 0, step 0',
    '(bit: hard conductive nests)',
  ],
  'Bit inside hex 5, 50 long': [
    '10 g',
    '50×8×8',
    '2.5 €',
    'by hex ¼ in turns inside hex 5 20 N·m, 42×7.3×0, hollow 0, step 0',
    '(bit: hard conductive nests)',
  ],
  'Bit PH2, 90 long': [
    '18 g',
    '90×8×8',
    '2.5 €',
    'by hex ¼ in turns cross-recess PH2 9 N·m, 82×7.3×0, hollow 0, step 0',
    '(bit: hard conductive nests)',
  ],
  'L-key 5': [
    '15 g',
    '90×34×6',
    '2.8 €',
    'key 85 turns inside hex 5 40 N·m, 29×6×0, hollow 0, step 60',
    'key 29 turns inside hex 5 40 N·m, 85×6×0, hollow 0, step 60',
    '(key: hard conductive)',
  ],
  'L-key 8': [
    '41 g',
    '108×46×10',
    '3.8 €',
    'key 100 pipe turns inside hex 8 164 N·m, 38×9.6×0, hollow 0, step 60',
    'key 38 turns inside hex 8 164 N·m, 100×9.6×0, hollow 0, step 60',
    '(key: hard conductive)',
  ],
  'L-key T30': [
    '19 g',
    '95×31×6',
    '3.7 €',
    'key 89 turns six-lobe T30 30 N·m, 25×6.16×0, hollow 0, step 60',
    'key 25 turns six-lobe T30 30 N·m, 89×6.16×0, hollow 0, step 60',
    '(key: hard conductive)',
  ],
  'T-key 10, 200 mm': [
    '130 g',
    '220×100×14',
    '8 €',
    'bar 50 turns hex 10 30 N·m, 200×9×0, hollow 0, step 60',
    '(key: hard conductive)',
  ],
  'T-key T30, 200 mm': [
    '130 g',
    '220×100×14',
    '8 €',
    'bar 50 turns six-lobe T30 30 N·m, 200×9×0, hollow 0, step 60',
    '(key: hard conductive)',
  ],
  'Folding key set inside hex 3 inside hex 4 inside hex 5 inside hex 6 inside hex 8': [
    '110 g',
    '95×35×25',
    '14 €',
    'key 60 turns inside hex 3 9 N·m, 45×9×0, hollow 0, step 60',
    'key 60 turns inside hex 4 20 N·m, 45×9×0, hollow 0, step 60',
    'key 60 turns inside hex 5 24 N·m, 45×9×0, hollow 0, step 60',
    'key 60 turns inside hex 6 24 N·m, 45×9×0, hollow 0, step 60',
    'key 60 turns inside hex 8 24 N·m, 45×9×0, hollow 0, step 60',
    '(key set: hard conductive)',
  ],
  'Screwdriver PH2, 100 mm': [
    '75 g',
    '195×30×30',
    '5 €',
    'driver 0 turns cross-recess PH2 8 N·m, 100×7×0, hollow 0, step 0',
    '(driver: hard conductive)',
  ],
  'Screwdriver slot 6, 100 mm': [
    '75 g',
    '195×30×30',
    '5 €',
    'driver 0 turns slot 6 7 N·m, 100×7×0, hollow 0, step 0',
    '(driver: hard conductive sharp)',
  ],
  'Screwdriver 8, 125 mm': [
    '85 g',
    '220×30×30',
    '5 €',
    'driver 0 turns hex 8 8 N·m, 125×7×0, hollow 0, step 0',
    '(driver: hard conductive)',
  ],
  'Ratchet ¼ in': [
    '105 g',
    '155×25×24',
    '22 €',
    'ratchet 130 turns square drive ¼ in 30 N·m, 12×24×0, hollow 0, step 8',
    '(ratchet: hard conductive)',
  ],
  'Ratchet ½ in': [
    '520 g',
    '275×35×34',
    '38 €',
    'ratchet 250 pipe turns square drive ½ in 250 N·m, 12×42×0, hollow 0, step 8',
    '(ratchet: hard conductive)',
  ],
  'Flat ratchet ¼ in and ⅜ in': [
    '135 g',
    '125×32×16',
    '22 €',
    'ratchet 100 turns square drive ¼ in 30 N·m, 8×30×0, hollow 0, step 6',
    'ratchet 100 turns square drive ⅜ in 60 N·m, 8×30×0, hollow 0, step 6',
    '(ratchet: hard conductive)',
  ],
  'T-handle ¼ in': [
    '62 g',
    '120×20×18',
    '9 €',
    'key 60 turns square drive ¼ in 30 N·m, 18×16×0, hollow 0, step 60',
    '(plain bar: hard conductive)',
  ],
  'T-handle ⅜ in': [
    '130 g',
    '180×20×18',
    '9 €',
    'key 90 turns square drive ⅜ in 100 N·m, 18×16×0, hollow 0, step 60',
    '(plain bar: hard conductive)',
  ],
  'Plain bar ⅜ in, 250 mm': [
    '238 g',
    '270×24×22',
    '15.5 €',
    'bar 250 pipe turns square drive ⅜ in 100 N·m, 12×22×0, hollow 0, step 60',
    '(plain bar: hard conductive)',
  ],
  'Plain bar ½ in, 450 mm': [
    '698 g',
    '470×24×22',
    '21.5 €',
    'bar 450 pipe turns square drive ½ in 250 N·m, 12×22×0, hollow 0, step 60',
    '(plain bar: hard conductive)',
  ],
  'Driver handle ¼ in': [
    '72 g',
    '150×32×32',
    '7 €',
    'driver 0 turns square drive ¼ in 6 N·m, 60×12×0, hollow 0, step 0',
    '(driver: hard conductive)',
  ],
  'Thumb wheel ¼ in': [
    '24 g',
    '26×26×18',
    '6 €',
    'thumb 0 turns square drive ¼ in 3 N·m, 12×26×0, hollow 0, step 0',
    '(driver: hard conductive)',
  ],
  'Extension ¼ in, 100 mm': [
    '46 g',
    '108×12×12',
    '7 €',
    'by square drive ¼ in turns square drive ¼ in 30 N·m, 100×12×0, hollow 0, step 0',
    '(extension: hard conductive)',
  ],
  'Extension ½ in, 125 mm': [
    '217 g',
    '133×23×23',
    '7.8 €',
    'by square drive ½ in turns square drive ½ in 250 N·m, 125×23×0, hollow 0, step 0',
    '(extension: hard conductive)',
  ],
  'Adapter ⅜ in to ¼ in': [
    '20 g',
    '28×18×18',
    '4.5 €',
    'by square drive ⅜ in turns square drive ¼ in 30 N·m, 18×18×0, hollow 0, step 0',
    '(adapter: hard conductive)',
  ],
  'Adapter ½ in to ⅜ in': [
    '35 g',
    '28×24×24',
    '4.5 €',
    'by square drive ½ in turns square drive ⅜ in 100 N·m, 18×24×0, hollow 0, step 0',
    '(adapter: hard conductive)',
  ],
  'Swivel joint ⅜ in': [
    '62 g',
    '42×20×20',
    '8 €',
    'by square drive ⅜ in turns square drive ⅜ in 60 N·m, 35×20×0, hollow 0, step 0, swivels',
    '(joint: hard conductive)',
  ],
  'Bit holder ¼ in': [
    '12 g',
    '25×13×13',
    '3.5 €',
    'by square drive ¼ in turns hex ¼ in 35 N·m, 25×12×0, hollow 10, step 0',
    '(adapter: hard conductive)',
  ],
  'Bit holder ⅜ in': [
    '26 g',
    '25×13×13',
    '3.5 €',
    'by square drive ⅜ in turns hex ¼ in 35 N·m, 25×17×0, hollow 10, step 0',
    '(adapter: hard conductive)',
  ],
  'Pipe 400 mm': [
    '220 g',
    '400×27×27',
    '5 €',
    'bar 400 turns bar end 300 N·m, 0×27×0, hollow 0, step 0',
    '(pipe: hard conductive)',
  ],
  'Plug spanner 16': [
    '66 g',
    '80×23×23',
    '9 €',
    'by hex 17 turns spark plug hex 16 40 N·m, 75×21×0, hollow 60, step 0',
    '(plug spanner: hard conductive)',
  ],
  'Tyre lever': ['280 g', '280×30×14', '12 €', 'lever tyre', 'pry', '(tyre lever: hard conductive)'],
  'Tyre lever, alloy': ['95 g', '280×30×14', '12 €', 'lever tyre', 'pry', '(tyre lever: hard conductive)'],
  'Tyre lever, alloy, ring 27': [
    '190 g',
    '280×45×14',
    '28 €',
    'bar 240 pipe turns hex 27 160 N·m, 6×45×12, hollow 100, step 60',
    'lever tyre',
    'pry',
    '(tyre lever: hard conductive)',
  ],
  'Spoke key 6': [
    '30 g',
    '40×25×12',
    '8 €',
    'spanner 25 turns spoke nipple 6 10 N·m, 10×20×5, hollow 0, step 30',
    '(spoke key: hard conductive)',
  ],
  'Hook spanner 52': [
    '139 g',
    '199×25×12',
    '12 €',
    'spanner 166 turns castellated ring 52 66 N·m, 10×20×5, hollow 0, step 30',
    '(hook spanner: hard conductive)',
  ],
  'Stepped axle key 17 19 22 24, hexagon 19': [
    '179 g',
    '62×28×28',
    '14 €',
    'by hex 19 turns inside hex 17 250 N·m, 60×28×0, hollow 0, step 0',
    'by hex 19 turns inside hex 19 250 N·m, 60×28×0, hollow 0, step 0',
    'by hex 19 turns inside hex 22 250 N·m, 60×28×0, hollow 0, step 0',
    'by hex 19 turns inside hex 24 250 N·m, 60×28×0, hollow 0, step 0',
    '(other: hard conductive)',
  ],
  'Valve core tool': [
    '6 g',
    '40×25×12',
    '2 €',
    'driver 0 turns valve core 3 N·m, 10×20×0, hollow 0, step 30',
    '(valve tool: hard conductive)',
  ],
  'Long-nose pliers 140': [
    '110 g',
    '140×50×18',
    '10 €',
    'spanner 84 turns clip or pin open 5 N·m, 30×18×8, hollow 0, step 30',
    'grip',
    'cut',
    '(pliers: hard conductive)',
  ],
  'Multi-tool': [
    '230 g',
    '105×42×22',
    '60 €',
    'grip',
    'cut',
    'file',
    'pry',
    'saw',
    '(other: hard conductive sharp dear)',
  ],
  'Hand pump': ['130 g', '210×32×28', '22 €', 'inflate', 'hand air', '(other: hard conductive)'],
};
const shelf = new Map(catalogue().map((m) => [m.name, m]));

describe('a tool of each maker, figure by figure', () => {
  test.each(Object.entries(PIECES))('%s', (name, figures) => {
    const model = shelf.get(name);
    expect(model && told(model)).toEqual(figures);
  });
  test('a steel lever with a ring; a set of keys is its keys in a holder', () => {
    expect(told(tyreLever('27', false))).toEqual([
      '340 g',
      '280×45×14',
      '28 €',
      'bar 240 pipe turns hex 27 300 N·m, 6×45×12, hollow 100, step 60',
      'lever tyre',
      'pry',
      '(tyre lever: hard conductive)',
    ]);
    const keys = ['4', '5', '6'].map(lKey);
    const set = keySet('key', ['4', '5', '6']);
    expect(set.modes).toEqual(keys.flatMap((k) => k.modes));
    expect([set.name, set.mass, set.size, set.price]).toEqual([
      'L-key set 4 to 6 mm',
      15 + keys.reduce((sum, k) => sum + k.mass, 0),
      { length: 96, width: 60, height: 25 },
      9.6,
    ]);
    expect(keySet('lobe', ['25', '30'])).toMatchObject({
      name: 'L-key set T25 to T30',
      modes: [lobeKey('25'), lobeKey('30')].flatMap((k) => k.modes),
    });
  });
  test('what a six-lobe socket costs follows its width, not its number', () => {
    const price = (size: string) => shelf.get(`Bit socket ⅜ in, T${size}`)?.price;
    for (const size of ['25', '40', '55'])
      expect([size, price(size)]).toEqual([size, Math.round((4 + 0.4 * (SIX_LOBE[size] ?? 0)) * 10) / 10]);
  });
});

describe('kinds of tool', () => {
  test('keys, titles and the phrases that say them are each one kind’s own', () => {
    const all = (of: (k: (typeof TOOL_KINDS)[number]) => string[]) => TOOL_KINDS.flatMap(of);
    for (const list of [all((k) => [k.key]), all((k) => [k.title])]) expect(new Set(list).size).toBe(list.length);
    const phrases = [...all((k) => k.said.split('|')), ...CALLED.flatMap(([, said]) => said.split('|'))];
    expect(phrases.filter((p, i) => phrases.indexOf(p) !== i)).toEqual([]);
  });
  test('names on the shelf are distinct, and each tool there is read from its own name', () => {
    const models = catalogue();
    expect(new Set(models.map((m) => m.name)).size).toBe(models.length);
    for (const [i, model] of models.entries())
      if (i % 7 === 0)
        expect([model.name, readTools(model.name.replaceAll(',', '')).tools.map((t) => t.model.name)]).toEqual([
          model.name,
          [model.name],
        ]);
  });
  test('tools that are called by a name are on the shelf', () => {
    expect(CALLED.flatMap(([{ names }]) => names).filter((name) => !shelf.has(name))).toEqual([]);
  });
});
