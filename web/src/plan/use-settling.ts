import { planRoundOf, type Command, type EventRound, type PlanView } from '@tasche/contract';
import type { DayTrigger, DistanceUnit } from '@tasche/core';
import { proxy } from 'comlink';
import { v4 as newId } from 'uuid';
import { until, useEventListener } from '@vueuse/core';
import { ref, type ComputedRef } from 'vue';
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router';
import { useSheet } from '../sheet/sheet-store';
import { swapsAgainst, triggerOf } from './round-swaps';
import { useLongWork } from './use-long-work';
import { isAskable, type AskedRound, type NotAskable } from './use-round';

/**
 * Settles rounds: each its best bag, its swaps, and what would change it on the morning; one change for all
 * of them.
 */
export function useSettling(
  plan: () => PlanView,
  ask: (round: EventRound) => AskedRound | NotAskable,
  { unit, nameOf }: { unit: ComputedRef<DistanceUnit>; nameOf: (id: string) => string },
) {
  const store = useSheet();
  const work = useLongWork<true>();

  async function settle(which: readonly EventRound[]): Promise<void> {
    const asked = which.map((one) => ({ one, question: ask(one) }));
    const questions = asked.flatMap(({ one, question }) => (isAskable(question) ? [{ one, question }] : []));
    const { id: planId, baseClubIds } = plan();
    const commands: Extract<Command, { do: 'setRoundBag' }>[] = [];
    await work.run(async (link, progress) => {
      for (const { one, question } of questions.length > 0 ? [] : asked)
        if (!isAskable(question)) throw new Error(`${one.name}: ${question.reason}`);
      for (const [i, { one, question }] of questions.entries()) {
        const { request, rules } = question;
        const answer = await link.choose(request, rules, [], unit.value);
        if (!answer.answer) throw new Error(`${one.name}: ${answer.refused}`);
        const best = answer.answer.best.ids;
        const triggers: DayTrigger[] = await link.triggers(
          request,
          rules,
          best,
          proxy((share: number) => progress((i + share) / questions.length)),
        );
        commands.push({
          do: 'setRoundBag',
          planId,
          version: plan().version,
          roundId: one.id,
          bagId: planRoundOf(plan(), one.id).bagId ?? newId(),
          clubIds: best,
          swaps: swapsAgainst(baseClubIds, answer.answer, request.clubs, answer.why),
          triggers: triggers.map((trigger) => triggerOf(trigger, best, one.day, unit.value, nameOf)),
        });
      }
      return true;
    });
    // The plan may have changed while it was worked on.
    if (work.result.value && commands.length > 0)
      store.change(commands.map((command) => ({ ...command, version: plan().version })));
    work.clear();
  }
  /**
   * The user is leaving meanwhile: they go as soon as it is done, so that nothing is lost. If it fails they
   * stay, and read why.
   */
  const isWaitedFor = ref(false);
  async function waitFor(): Promise<boolean> {
    if (work.share.value === null) return true;
    isWaitedFor.value = true;
    await until(work.share).toBe(null);
    isWaitedFor.value = false;
    return work.problem.value === '';
  }
  onBeforeRouteLeave(waitFor);
  onBeforeRouteUpdate((to, from) => (to.params.planId === from.params.planId ? true : waitFor()));
  useEventListener('beforeunload', (event) => {
    if (work.share.value !== null) event.preventDefault();
  });
  return { work, settle, isWaitedFor };
}
