import type { StrikeView } from '@tasche/contract';
import { BASELINE, MEDIUM_FAIRWAY, airsOf, completeStrike, type Strike } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { expect, it } from 'vitest';
import LastShot from '../../src/range/LastShot.vue';

const HERE = { conditions: BASELINE, surface: MEDIUM_FAIRWAY };
const SEEN: Strike = { ballSpeedMps: 53, launchDeg: 16, spinRpm: 7000, azimuthDeg: 0, spinAxisDeg: 0 };

function board(given: Strike, shot: StrikeView['shot'] = 'full') {
  const whole = completeStrike(given, { kind: 'iron', loftDeg: 34 }, airsOf(HERE, HERE));
  const strike = { id: 's', clubId: '7', shot, given, leftOut: null } as unknown as StrikeView;
  const view = mount(LastShot, { props: { strike, whole, club: '7 iron', unit: 'm' } });
  const numbers = view.findAll('dl > div').map((one) => {
    const [head, number] = [one.get('dt').text(), one.get('dd')];
    return [head, number.text(), number.classes('modelled')] as const;
  });
  return { text: view.text(), numbers: new Map(numbers.map(([head, ...rest]) => [head, rest])), whole };
}

it('the last shot shows its carry, what was seen of it, and in italics what was worked out', () => {
  const { text, numbers, whole } = board({ ...SEEN, totalM: 170 }, 'soft');
  expect(text).toContain('soft 7 iron');
  expect(text).toContain(String(Math.round(whole.carryM)));
  expect(numbers.get('spin')).toEqual(['7000', false]);
  expect(numbers.get('total')).toEqual(['170', false]);
  expect(numbers.get('apex, m')![1]).toBe(true);
  expect([...numbers.keys()]).not.toContain('smash');
});

it('a monitor that sees the club tells smash and attack too', () => {
  const { numbers } = board({ ...SEEN, clubSpeedMps: 38, attackDeg: -4.25 });
  expect(numbers.get('smash')).toEqual(['1.39', false]);
  expect(numbers.get('attack')![0]).toMatch(/^[-−]4\.[23]°$/);
});

it('of a ball whose carry alone is known, the rest is worked out, and its side is not made up', () => {
  const { numbers } = board({ carryM: 150 });
  expect(numbers.get('side')).toEqual(['–', true]);
  for (const head of ['ball, m/s', 'launch', 'spin', 'total']) expect(numbers.get(head)![1]).toBe(true);
});
