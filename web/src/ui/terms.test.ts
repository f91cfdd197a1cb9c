import { textKey } from '@fulcrant/core/messages';
import { describe, expect, it } from 'vitest';
import { explained } from './terms.ts';

const terms = (text: string) =>
  explained(text).flatMap((p) => (p.meaning ? [textKey(p.meaning.title).replace('page.ui.term', '')] : []));

describe('terms of the trade', () => {
  it('are found where they stand, and nothing of the sentence is lost', () => {
    const text = 'Dog points first, all of them, then cup points; the run-out is 0.05 TIR, IT5.';
    expect(
      explained(text)
        .map((p) => p.text)
        .join(''),
    ).toBe(text);
    expect(terms(text)).toEqual(['DogPoint', 'CupPoint', 'Tir', 'ItGrade']);
  });
  it('a term is told once in a sentence, and no word that only begins alike', () => {
    expect(terms('TIR at one station, TIR at the other')).toEqual(['Tir']);
    expect(terms('Stir it; a dog pointed at the cup; ITEM 5')).toEqual([]);
    expect(explained('')).toEqual([]);
  });
});
