import { describe, expect, it } from 'vitest';
import { inEveryText, withKnownLetters } from '../src/pdf/known-letters.js';
import { pdfOf } from '../src/pdf/pdf-maker.js';
import { textOf } from './paper.js';

const latin = { hasGlyphForCodePoint: (point: number) => point < 0x250 };

describe('letters a font lacks', () => {
  it('have a stand-in each, and are counted; joiners and tints are none', () => {
    expect(withKnownLetters('Åse ¾ 7i', latin)).toEqual(['Åse ¾ 7i', 0]);
    expect(withKnownLetters('鈴木 A. 😀', latin)).toEqual(['?? A. ?', 3]);
    expect(withKnownLetters('👍🏽\ufe0f', latin)).toEqual(['?', 1]);
    // An accent written apart is part of its letter.
    expect(withKnownLetters('e\u0301', latin)).toEqual(['é', 0]);
  });

  it('are looked for wherever a document holds text', () => {
    const document = {
      content: [{ text: ['a', { text: 'b' }] }],
      footer: (page: number) => `page ${page}`,
      size: 7,
    };
    const upper = inEveryText(document, (text) => text.toUpperCase());
    expect(upper).toMatchObject({ content: [{ text: ['A', { text: 'B' }] }], size: 7 });
    expect(upper.footer(2)).toBe('PAGE 2');
  });

  it('are said on the paper, and only there', async () => {
    const paper = async (text: string) =>
      textOf(await pdfOf({ content: [text], footer: () => 'Foot', defaultStyle: { font: 'Roboto' } }));
    const japanese = await paper('鈴木 Ōta Ж');
    expect(japanese).toContain('?? Ōta Ж');
    expect(japanese).toContain('A “?” may stand for a letter this paper has no font for.');
    expect(await paper('Ōta, why?')).not.toContain('may stand for');
  });
});
