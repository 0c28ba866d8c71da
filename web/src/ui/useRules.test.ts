import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ref } from 'vue';
import { bikeSchema, newBike, ownKindSchema } from '@necessaire/core';
import { faultsByField, useRowForm, useRules } from './useRules';

const ID = '10000000-0000-4000-8000-000000000001';
const kind = {
  id: ID,
  name: 'Lamp relay',
  unit: 'piece',
  mass: 50,
  size: { length: 80, width: 50, height: 20 },
  price: 5,
  traits: [],
  matches: false,
  note: '',
};

describe('a form’s rules', () => {
  test('stand at the field, as a sentence that says what to do, and go as one types', () => {
    const draft = ref({ ...kind, name: '', size: { ...kind.size, width: -2 } });
    const { value, faults } = useRules(ownKindSchema, () => draft.value);
    expect(value.value).toBeNull();
    expect(Object.keys(faults.value).sort()).toEqual(['name', 'size.width']);
    for (const text of Object.values(faults.value)) expect(text).toMatch(/^[A-Z].*\.$/u);
    expect(faults.value['size.width']).toContain('at least');
    draft.value = { ...kind };
    expect([faults.value, value.value]).toEqual([{}, kind]);
  });
  test('refuse what the schema refuses, and nothing else', () => {
    const bike = newBike(ID, 'Heron');
    const fields = fc.constantFrom('name', 'wheelbase', 'odometer', 'tank');
    const values = fc.oneof(fc.string(), fc.double(), fc.constant(null), fc.integer());
    fc.assert(
      fc.property(fields, values, (field, value) => {
        const draft = { ...bike, [field]: value };
        const fits = bikeSchema.safeParse(draft).success;
        expect(Object.keys(faultsByField(bikeSchema, draft)).length === 0).toBe(fits);
        expect(useRules(bikeSchema, () => draft).value.value === null).toBe(!fits);
      }),
    );
  });
  test('a row changed field by field: what fits is stored at once, what does not stands as a fault and nothing is stored', () => {
    let stored = newBike(ID, 'Heron');
    const said: string[] = [];
    const { set, faults } = useRowForm(
      bikeSchema,
      () => stored,
      (label, row) => {
        said.push(label);
        stored = row;
      },
    );
    expect(set('rename', { name: '' })).toBe(false);
    expect([stored.name, Object.keys(faults.value), said]).toEqual(['Heron', ['name'], []]);
    expect(faults.value['name']).toMatch(/^[A-Z].*\.$/u);
    expect(set('rename', { name: 'Crane' })).toBe(true);
    expect([stored.name, faults.value, said]).toEqual(['Crane', {}, ['rename']]);
  });
});
