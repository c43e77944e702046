import { planRoundOf, type Command, type EventRound, type PlanView } from '@tasche/contract';
import type { DayTrigger, DistanceUnit } from '@tasche/core';
import { proxy, type Remote } from 'comlink';
import { v4 as newId } from 'uuid';
import { until, useEventListener } from '@vueuse/core';
import { ref, type ComputedRef } from 'vue';
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router';
import { useSheet } from '../sheet/sheet-store';
import type { RoundWorker } from './round-worker';
import { swapsAgainst, triggerOf } from './round-swaps';
import { useLongWork } from './use-long-work';
import { isAskable, type AskedRound, type NotAskable } from './use-round';

type SetRoundBag = Extract<Command, { do: 'setRoundBag' }>;

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
  const work = useLongWork<readonly SetRoundBag[]>();

  async function settle(which: readonly EventRound[]): Promise<void> {
    const asked = which.map((one) => ({ one, question: ask(one) }));
    const questions = asked.flatMap(({ one, question }) => (isAskable(question) ? [{ one, question }] : []));
    await work.run(async (links, progress) => {
      for (const { one, question } of questions.length > 0 ? [] : asked)
        if (!isAskable(question)) throw new Error(`${one.name}: ${question.reason}`);
      const shares = questions.map(() => 0);
      const settled: SetRoundBag[] = [];
      let next = 0;
      // Each worker takes the next round as soon as it is done with one.
      const settleNext = async (link: Remote<RoundWorker>): Promise<void> => {
        const i = next++;
        if (i >= questions.length) return;
        settled[i] = await settledBag(link, questions[i]!, (share) => {
          shares[i] = share;
          progress(shares.reduce((sum, each) => sum + each, 0) / shares.length);
        });
        return settleNext(link);
      };
      await Promise.all(links.map(settleNext));
      return settled;
    }, questions.length);
    // The plan may have changed while it was worked on.
    const commands = work.result.value?.map((command) => ({ ...command, version: plan().version })) ?? [];
    if (commands.length > 0) store.change(commands);
    work.clear();
  }
  /** The best bag of one round. @throws Error with the reason where there is none */
  async function settledBag(
    link: Remote<RoundWorker>,
    { one, question: { request, rules } }: { one: EventRound; question: AskedRound },
    progress: (share: number) => void,
  ): Promise<SetRoundBag> {
    const { id: planId, baseClubIds } = plan();
    const answer = await link.choose(request, rules, [], unit.value);
    if (!answer.answer) throw new Error(`${one.name}: ${answer.refused}`);
    const best = answer.answer.best.ids;
    const triggers: DayTrigger[] = await link.triggers(request, rules, best, proxy(progress));
    return {
      do: 'setRoundBag',
      planId,
      version: plan().version,
      roundId: one.id,
      bagId: planRoundOf(plan(), one.id).bagId ?? newId(),
      clubIds: best,
      swaps: swapsAgainst(baseClubIds, answer.answer, request.clubs, answer.why),
      triggers: triggers.map((trigger) => triggerOf(trigger, best, one.day, unit.value, nameOf)),
    };
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
