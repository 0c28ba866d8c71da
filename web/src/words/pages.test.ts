import { expect, test } from '@jest/globals';
import { PAGES } from './pages';
import { TERMS } from './terms';
import { THREE } from './trip';

/** A text that a rider reads: it begins large or small as it stands, and neither ends nor begins in the middle. */
const whole = (text: string) => text.trim() === text && text.length > 2 && !/\s{2}|undefined|!/u.test(text);

test('every stage and page has its words, each name once, and leads to a stage or to paper', () => {
  const names = PAGES.pages.map((p) => p.name);
  expect(new Set(names).size).toBe(names.length);
  for (const p of PAGES.pages) {
    expect([p.name, whole(p.name), whole(p.says), whole(p.words)]).toEqual([p.name, true, true, true]);
    expect([p.name, p.to.path in PAGES.stages || p.to.path.startsWith('/print')]).toEqual([p.name, true]);
  }
  for (const says of Object.values(PAGES.stages)) expect([says, whole(says)]).toEqual([says, true]);
});
test('a technical word is explained in whole sentences', () => {
  for (const [term, says] of Object.entries(TERMS))
    expect([term, /^[A-Z].*\.$/su.test(says), whole(says)]).toEqual([term, true, true]);
});
test('a trip in three answers: each choice says what it stands for', () => {
  for (const choice of Object.values(THREE)) {
    expect(choice.ask.endsWith('?')).toBe(true);
    const titles = Object.values(choice.of).map((c) => c.title);
    expect(new Set(titles).size).toBe(titles.length);
    for (const c of Object.values(choice.of))
      expect([c.title, whole(c.title), whole(c.says)]).toEqual([c.title, true, true]);
  }
});
