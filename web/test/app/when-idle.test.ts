import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import Later from '../../src/app/Later.vue';
import { whenIdle } from '../../src/app/when-idle';
import { until } from '../until';

describe('what can wait', () => {
  it('is done one at a time, in order, and what was taken back is not', async () => {
    const done: string[] = [];
    whenIdle(() => done.push('a'));
    const leave = whenIdle(() => done.push('b'));
    whenIdle(() => done.push('c'));
    leave();
    expect(done).toEqual([]);
    await until(() => {
      expect(done).toEqual(['a', 'c']);
    });
  });

  it('keeps its place free until then', async () => {
    const view = mount(Later, { props: { px: 300 }, slots: { default: '<b>chart</b>' } });
    expect(view.attributes('style')).toContain('300px');
    await until(() => {
      expect(view.find('b').exists()).toBe(true);
    });
  });

  it('is there at once where something cannot wait for it', async () => {
    const view = mount(Later, { props: { atOnce: true }, slots: { default: '<b>aim</b>' } });
    expect(view.find('b').exists()).toBe(true);
    const later = mount(Later, { slots: { default: '<b>aim</b>' } });
    expect(later.find('b').exists()).toBe(false);
    await later.setProps({ atOnce: true });
    expect(later.find('b').exists()).toBe(true);
  });
});
