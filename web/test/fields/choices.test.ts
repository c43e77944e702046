import { describe, expect, it } from 'vitest';
import { choiceThatStartsWith, flatChoices } from '../../src/fields/choices';

const clubs = ['Driver', 'Driving iron', '5 iron', '7 iron', '7 wood', 'PW'].map((label) => ({
  value: label,
  label,
}));
const found = (letters: string, chosen: string | null = null) =>
  choiceThatStartsWith(clubs, letters, chosen)?.label;

describe('letters typed in a list of choices', () => {
  it('one letter goes round all that start with it', () => {
    expect(found('7')).toBe('7 iron');
    expect(found('7', '7 iron')).toBe('7 wood');
    expect(found('7', '7 wood')).toBe('7 iron');
    expect(found('dd', 'Driver')).toBe('Driving iron');
  });
  it('several letters find what starts with them, whatever their case', () => {
    expect(found('drivi')).toBe('Driving iron');
    expect(found('7 w', '7 iron')).toBe('7 wood');
    expect(found('p')).toBe('PW');
  });
  it('the chosen one stays while it fits, and nothing is found that does not start so', () => {
    expect(found('driv', 'Driving iron')).toBe('Driving iron');
    expect(found('x')).toBeUndefined();
    expect(found('iron')).toBeUndefined();
  });
  it('what may not be chosen is passed over', () => {
    const some = [
      { value: 'a', label: 'fairway', disabled: true },
      { value: 'b', label: 'fringe' },
    ];
    expect(choiceThatStartsWith(some, 'f', null)?.value).toBe('b');
  });
  it('groups are one list', () => {
    expect(
      flatChoices([clubs[0]!, { label: 'Irons', choices: clubs.slice(2, 4) }]).map(({ label }) => label),
    ).toEqual(['Driver', '5 iron', '7 iron']);
  });
});
