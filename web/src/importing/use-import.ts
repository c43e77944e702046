import {
  headedText,
  isSamePerson,
  ofPlayer,
  playersOf,
  type ChangeResult,
  type HeadedCells,
  type ImportPlan,
} from '@tasche/contract';
import type { DistanceUnit } from '@tasche/core';
import { v4 as newId } from 'uuid';
import { computed, ref, shallowRef } from 'vue';
import { request } from '../api/request';
import { today } from '../app/day';
import { textOfFile } from '../files/text-of-file';
import { planOf, withHeads, type PastedTable } from '../sheet/pasted-table';
import { useSheet } from '../sheet/sheet-store';

const MAX_BYTES = 2_000_000;

/** A file of clubs, looked at before anything of it is taken: a table, or a locker with its history. */
export function useImport(unit: () => DistanceUnit) {
  const store = useSheet();
  const name = ref('');
  const problem = ref('');
  const busy = ref(false);
  const headed = shallowRef<HeadedCells | null>(null);
  const locker = shallowRef<{ text: string; plan: ImportPlan; changeId: string } | null>(null);
  /** Of distances that name no unit. */
  const distanceUnit = ref(unit());

  const players = computed(() => (headed.value ? playersOf(headed.value) : []));
  const isOurs = (player: string) => isSamePerson(player, store.sheet!.player.name);
  const said = ref<string | null>(null);
  /** Whose rows are imported; null while not known. */
  const player = computed({
    get: () => said.value ?? players.value.find(isOurs) ?? null,
    set: (chosen) => (said.value = chosen),
  });
  const table = computed<PastedTable | null>(() => {
    if (!headed.value || (players.value.length > 1 && player.value === null)) return null;
    return withHeads(ofPlayer(headed.value, player.value ?? ''));
  });
  const plan = computed<ImportPlan | null>(() => {
    if (locker.value) return locker.value.plan;
    const options = { distanceUnit: distanceUnit.value, takenOn: today() };
    return table.value && planOf(table.value, store.clubs, options);
  });
  const lineOf = (row: number) => table.value?.rows[row]?.line ?? row + 1;

  async function choose(file: File): Promise<void> {
    name.value = file.name;
    problem.value = '';
    headed.value = null;
    locker.value = null;
    said.value = null;
    busy.value = true;
    try {
      if (file.size > MAX_BYTES)
        throw new Error(`${file.name} is ${(file.size / 1e6).toFixed(1)} MB; 2 MB is the limit.`);
      const text = await textOfFile(file);
      if (/\.json$/i.test(file.name)) {
        const changeId = newId();
        locker.value = { text, changeId, plan: (await sendLocker(text, changeId, 'none')).plan };
      } else headed.value = headedText(text);
    } catch (error) {
      problem.value = `${file.name}: ${(error as Error).message}`;
    } finally {
      busy.value = false;
    }
  }

  /** Imports a locker with its history: the server writes it in one change. */
  async function takeLocker(): Promise<boolean> {
    if (!locker.value) return false;
    busy.value = true;
    problem.value = '';
    try {
      const { result } = await sendLocker(locker.value.text, locker.value.changeId, 'all');
      if (result) store.done(result.change.id);
      await store.load(store.sheet!.player.id);
      return true;
    } catch (error) {
      problem.value = `${name.value}: ${(error as Error).message}`;
      return false;
    } finally {
      busy.value = false;
    }
  }

  function sendLocker(text: string, changeId: string, take: 'none' | 'all') {
    const query = new URLSearchParams({ take, changeId, takenOn: today() });
    return request<{ plan: ImportPlan; result: ChangeResult | null }>(
      `/players/${store.sheet!.player.id}/import?${query}`,
      { method: 'POST', headers: { 'content-type': 'application/json' }, body: text },
    );
  }

  return { name, problem, busy, players, player, distanceUnit, table, plan, lineOf, choose, takeLocker };
}
