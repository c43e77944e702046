import type { CourseView, EventRound, EventRoundSet, ForecastView } from '@tasche/contract';
import { middleAir } from '@tasche/core';
import { onScopeDispose, ref } from 'vue';
import { request } from '../api/request';

/** A round and the course it is on. */
export interface RoundOnCourse {
  round: EventRound;
  course: CourseView;
}

/**
 * Asks for what the days of some rounds will be like, one after the other, with how far it is and a way to stop
 * it.
 * @param take given what came, all at once, whatever round is looked at by then
 */
export function useForecast(take: (came: readonly { roundId: string; set: EventRoundSet }[]) => void) {
  const share = ref<number | null>(null);
  const problem = ref('');
  let asking: AbortController | undefined;

  function stop(): void {
    asking?.abort();
    asking = undefined;
    share.value = null;
  }

  async function ask(rounds: readonly RoundOnCourse[]): Promise<void> {
    stop();
    const controller = new AbortController();
    asking = controller;
    share.value = 0;
    problem.value = '';
    const came: { roundId: string; set: EventRoundSet }[] = [];
    const silent: string[] = [];
    try {
      for (const [
        i,
        {
          round: { id, day, name },
          course,
        },
      ] of rounds.entries()) {
        const { source, askedAt, days } = await request<ForecastView>(
          `/courses/${course.id}/forecast?from=${day}&days=1`,
          { signal: controller.signal },
        );
        const members = days[0]?.members ?? [];
        if (members.length > 0)
          came.push({
            roundId: id,
            set: { forecast: { source, askedAt, members }, air: middleAir(members) },
          });
        else silent.push(name);
        if (asking === controller) share.value = (i + 1) / rounds.length;
      }
      if (silent.length > 0)
        problem.value = `The forecast says nothing of ${silent.join(', ')}. Enter the air by hand.`;
    } catch (error) {
      if (!controller.signal.aborted) problem.value = (error as Error).message;
    }
    // What came before it failed, or was stopped, is not thrown away.
    if (came.length > 0) take(came);
    if (asking === controller) stop();
  }
  onScopeDispose(stop);
  return { share, problem, ask, stop };
}
