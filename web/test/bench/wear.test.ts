import type { ClubLifeView, ClubView } from '@tasche/contract';
import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import WearView from '../../src/bench/WearView.vue';
import { clubView, sheetOf, showSheet } from '../sheet';
import { freshPinia } from '../pinia';

const fact = (value: number | string) => ({ value, takenOn: '2026-01-01' });
const wedge = (id: string, spec: ClubView['spec'] = {}): ClubView => ({
  ...clubView(id),
  kind: 'wedge',
  name: id,
  spec,
});
const session = (day: string, meanRpm: number | null) => ({
  id: day,
  name: 'Range',
  day,
  shots: 12,
  spin: meanRpm === null ? null : { shots: 12, meanRpm, deviationRpm: 400 },
});

describe('wear', () => {
  beforeEach(() => {
    localStorage.clear();
    freshPinia();
  });

  it('says what spin a wedge lost since its grooves were new, where that was measured, and only asks for dated ones', async () => {
    const asked: string[] = [];
    const sessions: Record<string, ClubLifeView['sessions']> = {
      '56': [session('2026-09-01', 9900), session('2026-08-01', null), session('2026-11-01', 9200)],
      '60': [session('2026-09-01', 9900)],
    };
    vi.stubGlobal('fetch', (input: string) => {
      const id = /clubs\/([^/]+)\/life/.exec(input)![1]!;
      asked.push(id);
      return Promise.resolve(new Response(JSON.stringify({ club: { id }, sessions: sessions[id] })));
    });
    const dated = { loftStampedDeg: fact(56), grooveDate: fact('2026-07-01') };
    showSheet(
      sheetOf([wedge('56', dated), wedge('60', { ...dated, loftStampedDeg: fact(60) }), wedge('52')], ['56']),
    );
    const router = createRouter({
      history: createMemoryHistory(),
      routes: [{ path: '/:rest(.*)*', name: 'any', component: { template: '<i />' } }],
    });
    const view = mount(WearView, {
      props: { playerId: 'p' },
      global: { plugins: [router], stubs: { BenchHead: true } },
    });
    await flushPromises();
    expect(asked.sort()).toEqual(['56', '60']);
    const row = (name: string) =>
      view
        .findAll('tbody tr')
        .find((one) => one.get('th').text() === name)!
        .text()
        .replace(/\s+/g, ' ');
    expect(row('56')).toContain('◆ 700 (360 to 1040)');
    expect(row('60')).not.toContain('◆ 700');
    expect(row('52')).toContain('no date recorded');
  });
});
