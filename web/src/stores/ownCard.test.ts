import '../testing/browser';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { EMPTY_CARD } from '@necessaire/core';
import { useOwnCard } from './ownCard';

const fresh = () => {
  setActivePinia(createPinia());
  return useOwnCard();
};

describe('details for an emergency', () => {
  beforeEach(() => localStorage.clear());
  test('are kept on the device, and are not printed unless that is ticked again', () => {
    const own = fresh();
    expect(own.written()).toBe(false);
    own.card.health = '0 negative';
    own.filledAt = 14_200;
    own.printed = true;
    own.keep();
    const again = fresh();
    expect(again.card).toEqual({ ...EMPTY_CARD, health: '0 negative' });
    expect(again.filledAt).toBe(14_200);
    expect(again.written()).toBe(true);
    expect(again.printed).toBe(false);
  });
  test('a file’s are taken only where none are written', () => {
    const theirs = { name: 'Ada', riders: 'Tom', call: '0100', health: 'nuts' };
    const own = fresh();
    expect(own.take(theirs)).toBe(true);
    expect(fresh().card).toEqual(theirs);
    expect(fresh().take({ ...theirs, name: 'Eve' })).toBe(false);
    expect(fresh().card.name).toBe('Ada');
  });
  test.each(['{"name"', 'null', '7', '[]', '{"name":5,"filledAt":"far"}', '{"filledAt":-3}'])(
    'what cannot be read is empty: %s',
    (text) => {
      localStorage.setItem('necessaire-own-card', text);
      expect(fresh().card).toEqual(EMPTY_CARD);
      expect(fresh().filledAt).toBe(0);
    },
  );
  test('says where the browser keeps nothing', () => {
    const own = fresh();
    const { setItem } = localStorage;
    localStorage.setItem = () => {
      throw new Error('full');
    };
    own.card.name = 'Ada';
    own.keep();
    localStorage.setItem = setItem;
    expect(own.stored).toBe(false);
    own.keep();
    expect(own.stored).toBe(true);
  });
});
