import type { ChangeRequest, Command, HitOff } from '@tasche/contract';
import type { Shot } from '@tasche/core';
import { shallowMount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useOutbox } from '../../src/changes/outbox';
import GroupTable from '../../src/range/GroupTable.vue';
import SessionResults from '../../src/range/SessionResults.vue';
import type { GroupSummary } from '../../src/range/range-worker';
import { freshPinia } from '../pinia';
import { WorkedShots } from '../../src/range/worked-shots';
import { clubView, sheetOf, showSheet } from '../sheet';
import { session } from './session';

const MEASURED: Shot = { carryM: 152, source: 'measured', sampleSize: 12, spreadM: 5 };
const STATED_ON = '2026-10-01';

/** What is recorded when a shot of a session of the twentieth is taken into the sheet. */
async function taken(standing: Partial<Shot>, hitOff: HitOff, shot: Shot) {
  const pinia = freshPinia();
  vi.stubGlobal('fetch', () => new Promise(() => {}));
  showSheet(sheetOf([clubView('7', { carryM: 150, ...standing })], ['7']));
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { template: '<i />' } }],
  });
  await router.push('/');
  const view = shallowMount(SessionResults, {
    props: {
      session: { ...session('s', '2026-11-20'), hitOff },
      strikes: [],
      rows: WorkedShots.none,
      groups: [],
      drifts: [],
      span: 'all before',
      unit: 'm',
      problem: '',
      earlierSays: '',
    },
    global: { plugins: [pinia, router] },
  });
  view.findComponent(GroupTable).vm.$emit('take', { clubId: '7', shot: 'full', n: 12 } as GroupSummary, shot);
  const { request } = useOutbox().waiting.at(-1) as { request: ChangeRequest };
  const [command] = request.commands as readonly Extract<Command, { do: 'editClub' }>[];
  return { reading: command!.readings![0]!, why: request.why };
}

describe('a shot that is taken into the sheet', () => {
  beforeEach(() => {
    localStorage.clear();
    sessionStorage.clear();
  });

  it('is of the session’s day, and says what it takes the place of', async () => {
    const { reading, why } = await taken({}, 'grass', MEASURED);
    expect(reading).toEqual({ key: 'shot.full', value: MEASURED, takenOn: '2026-11-20' });
    expect(why).toBe('measured, 12 shots at s; was 150 m stated');
  });

  it('keeps what the player says of it: what a tee gives, where it starts, how it curves', async () => {
    const said = { teeGainM: 4, startDeg: -2, curveM: 5 };
    const { reading } = await taken({ ...said, apexM: 30 }, 'mat', MEASURED);
    expect(reading.value).toEqual({ ...MEASURED, ...said });
  });

  it('off tees leaves the carry of its own day, so that no old carry looks new', async () => {
    const standing: Shot = { carryM: 150, source: 'stated', startDeg: 1 };
    const { reading, why } = await taken(standing, 'tees', { ...standing, teeGainM: 6 });
    expect(reading).toEqual({
      key: 'shot.full',
      value: { ...standing, teeGainM: 6 },
      takenOn: STATED_ON,
    });
    expect(why).toBe('off a tee, 12 shots at s');
  });
});
