import { describe, expect, test } from '@jest/globals';
import { newBike, type Bike } from '../../bike/index.js';
import { brakeHose } from '../../testing/supplies.js';
import { uuid } from '../../testing/make.js';
import { bookOf, KNOWN } from './book.js';
import { chainToolTooSmall, differs, fitFaults } from './fitCheck.js';
import { compareFits, fitLinesOf, judgeFit } from './fitSheet.js';
import { newSupply, stockOf, whyNot } from './supply.js';

const bike = (fields: Partial<Bike> = {}): Bike => ({ ...newBike(uuid(1), 'B'), ...fields });

describe('readings are compared by their figures', () => {
  test.each([
    ['coolant hose', '19 mm', 'bore 19.5 mm, 80 long', []],
    ['coolant hose', '19 mm', '8 mm', ['bore 8, here 19']],
    ['fuel hose', '8 mm, injection', '5 mm', ['bore 5, here 8']],
    ['chain', '520, 112, clip', '520', []],
    ['chain', '520, 112, clip', '525, rivet', ['size 525, here 520', 'kind of link rivet, here clip']],
    ['tube rear', '120/90-18, straight', '110/100-18', []],
    ['tube rear', '120/90-18, straight', '130/80-17, angled', ['rim 17, here 18', 'valve angled, here straight']],
    ['plug', 'M10, 26.5 mm, 0.8 mm', 'M12, 19 mm', ['thread 12, here 10', 'reach 19, here 26.5']],
    ['plug', 'M10, 26.5 mm, 0.8 mm', 'M10, 26.5 mm', []],
    ['fuses', 'small blade, 10 15 20 A', 'blade, 10 A', ['format blade, here small blade']],
    ['fuses', 'small blade, 10 15 20 A', 'small blade, 15 A', []],
  ])('%s read as "%s" against "%s"', (slot, reading, fits, expected) => {
    const said = differs(slot, reading, fits)?.map((d) =>
      d.code === 'supply.differs' ? `${d.what} ${d.there}, here ${d.here}` : d.code,
    );
    expect(said).toEqual(expected);
  });
  test('where nothing can be compared, nothing is said', () => {
    expect(differs('chain', 'gold', '525')).toBeNull();
    expect(differs('pads front', 'square', 'round')).toBeNull();
    expect(
      judgeFit({ kind: 'brake pads', fits: 'round' }, bike({ fit: { 'pads front': 'square', 'pads rear': 'long' } })),
    ).toEqual({
      verdict: 'another',
      why: [],
    });
  });
  test('a tube is held against the tyre itself, also where nobody read the sheet', () => {
    const rim = { code: 'supply.rim', rim: 18, tyre: '90/90-21' };
    const wrong = judgeFit({ kind: 'front tube', fits: '120/90-18' }, bike());
    expect(wrong).toEqual({ verdict: 'another', why: [rim] });
    expect(judgeFit({ kind: 'front tube', fits: '80/100-21' }, bike()).verdict).toBe('not known');
    expect(judgeFit({ kind: 'front tube', fits: '' }, bike({ tyres: 'tubeless' }))).toEqual({
      verdict: 'another',
      why: [{ code: 'supply.takes-none' }],
    });
    const supply = newSupply({ id: uuid(2), kind: 'front tube', quantity: 1, fits: '120/90-18' });
    expect(whyNot(supply, bike(), null)).toEqual({ code: 'supply.made-for', fits: '120/90-18', because: [rim] });
    expect(stockOf([supply], bike(), null).owned.size).toBe(0);
  });
  test('what does not go together on one bike is said where it was read', () => {
    const fit = { chain: '525', 'chain tool': '520', 'tube front': '80/100-19', 'tube rear': '120/90-18' };
    expect(fitFaults(bike({ fit }))).toEqual([
      { slot: 'tube front', why: { code: 'sheet.tube', rim: 19, tyre: '90/90-21' } },
      { slot: 'chain tool', why: { code: 'sheet.chain-tool', opens: 520, chain: 525 } },
    ]);
    expect(fitFaults(bike({ fit: { chain: '520', 'chain tool': '525', 'tube front': '80/100-21' } }))).toEqual([]);
    expect(chainToolTooSmall(bike({ fit: { chain: '525' } }))).toBeNull();
  });
});

describe('kinds of the rider’s own', () => {
  test('the book has what is known and what is added; a name that is known stays what it was', () => {
    const book = bookOf([brakeHose, { ...brakeHose, name: 'fuse', mass: 999 }]);
    expect(book.of('brake hose')).toMatchObject({ name: 'brake hose', unit: 'hose', mass: 140, price: 45 });
    expect(book.of('fuse').mass).toBe(2);
    expect(book.all.length).toBe(KNOWN.all.length + 1);
    expect([book.has('bolt'), book.has('brake hose'), KNOWN.has('brake hose')]).toEqual([true, true, false]);
    expect(KNOWN.of('brake hose')).toMatchObject({ name: 'brake hose', mass: 0 });
  });
  test('one that must match has a line of its own on the sheet, and is judged by it', () => {
    expect(fitLinesOf(bike(), [brakeHose]).at(-1)).toMatchObject({ slot: 'brake hose', decides: ['brake hose'] });
    expect(fitLinesOf(bike(), [{ ...brakeHose, matches: false }]).map((l) => l.slot)).not.toContain('brake hose');
    const long = bike({ fit: { 'brake hose': '900 long' } });
    expect(judgeFit({ kind: 'brake hose', fits: '900 long' }, long, [brakeHose]).verdict).toBe('fits');
    expect(judgeFit({ kind: 'brake hose', fits: '700 long' }, long, [brakeHose]).verdict).toBe('another');
    expect(judgeFit({ kind: 'brake hose', fits: '700 long' }, long).verdict).toBe('fits');
    const [line] = compareFits([long], [brakeHose]).filter((c) => c.line.slot === 'brake hose');
    expect(line!.says).toEqual([{ bikeId: long.id, reading: '900 long' }]);
  });
});
