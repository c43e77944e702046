import type { ShotDemand } from '@tasche/core';
import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import WrittenNeeds from '../../src/plan/WrittenNeeds.vue';

describe('a line of needs', () => {
  const shown = (take: (needs: readonly ShotDemand[]) => string | undefined) =>
    mount(WrittenNeeds, {
      attachTo: document.body,
      props: { label: 'Needs', placeholder: '', unit: 'm' as const, take },
    });

  it('takes a list that is pasted a line a shot, where the cursor is', async () => {
    const taken: (readonly ShotDemand[])[] = [];
    const view = shown((needs) => {
      taken.push(needs);
      return undefined;
    });
    const line = view.get<HTMLInputElement>('input');
    await line.setValue('90');
    line.element.setSelectionRange(0, 2);
    const clipboardData = { getData: () => '155 hold\r\n\r\n  210 run\n' };
    await line.trigger('paste', { clipboardData });
    expect(line.element.value).toBe('155 hold; 210 run');
    await view.get('form').trigger('submit');
    expect(taken.map((needs) => needs.map(({ distanceM }) => distanceM))).toEqual([[155, 210]]);
    expect(line.element.value).toBe('');
    view.unmount();
  });

  it('says what is wrong, also what is wrong only where it goes, and keeps the line', async () => {
    const view = shown(() => 'A week holds at most 60 needs.');
    const line = view.get<HTMLInputElement>('input');
    await line.setValue('tee shot 240');
    await view.get('form').trigger('submit');
    expect(view.get('[role="alert"]').text()).toContain('write "drive" or "par 3"');
    await line.setValue('155');
    await view.get('form').trigger('submit');
    expect(view.get('[role="alert"]').text()).toBe('■ A week holds at most 60 needs.');
    expect(line.element.value).toBe('155');
    view.unmount();
  });
});
