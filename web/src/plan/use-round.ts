import { proxy, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef, watch, type ComputedRef } from 'vue';
import type { DistanceUnit, FaultlessBag, RoundRules, RoundRequest } from '@tasche/core';
import type { RoundAnswer, RoundWorker, WorkedRound } from './round-worker';
import { startRoundWorker } from './start-round-worker';

export interface AskedRound {
  /** Which round of the event it is. */ roundId: string;
  request: RoundRequest;
  rules: RoundRules;
  against: readonly string[];
  unit: DistanceUnit;
}

/** Why a round cannot be asked, and the page that fixes it. */
export interface NotAskable {
  reason: string;
  fixOn: 'course' | 'bag';
}
export const isAskable = (question: AskedRound | NotAskable): question is AskedRound => 'request' in question;

/** What the needs and costs of a round hang on; locks and prices are not in it. */
const dayKey = ({ request: { day, clubs, from, changes, notes, seed, handicap, preferences } }: AskedRound) =>
  JSON.stringify([day, clubs, from, changes, notes, seed, handicap, preferences.bounce]);
/** What else a question says. */
const rulesKey = ({ roundId, rules, against, unit, request: { preferences } }: AskedRound) =>
  JSON.stringify([roundId, rules, against, unit, preferences]);

/** Shown as busy only past this, so that a quick answer does not flicker. */
const SLOW_MS = 250;
/** Nothing was asked for this long: the last lock is set, */
const PAUSE_MS = 300;
/** and for this long after it: the reader reads. */
const IDLE_MS = 400;

/**
 * A round's needs and best bag, by a worker that keeps rounds it has worked out: another day takes about a
 * second, another lock a few milliseconds.
 * @param asked null while there is nothing to choose for
 */
export function useRound(asked: ComputedRef<AskedRound | null>) {
  const worked = shallowRef<WorkedRound | null>(null);
  const chosen = shallowRef<RoundAnswer | null>(null);
  /** What a bag without a fault costs; undefined until that is worked out. */
  const faultless = shallowRef<FaultlessBag | null | undefined>(undefined);
  const busy = ref(false);
  /** How much of a round is worked out, while it is. */
  const share = ref(0);
  /** What is shown is not yet the answer to what is asked. */
  const pending = ref(false);
  const problem = ref('');
  let running: ReturnType<typeof startRoundWorker> | undefined;
  let lastRequestId = 0;
  /** The day of what is shown, */
  let day = '';
  /** and the day the worker was asked to work out last, which every other question is about. */
  let sentDay = '';
  /**
   * What was answered last: the same question asked again, because something else was saved, is no question.
   */
  let answered = '';
  /**
   * What is being answered: it comes again when the change that asked it is sent, and once more when it is
   * saved.
   */
  let asking = '';
  let roundId = '';

  function stop(): void {
    lastRequestId += 1;
    running?.worker.terminate();
    running = undefined;
    asking = '';
    // A new worker has no day yet.
    sentDay = '';
    busy.value = false;
    pending.value = false;
  }

  /**
   * What decided, and a bag without a fault: asked after the choice is on the screen, for both take the
   * worker longer.
   */
  async function askMore(link: Remote<RoundWorker>, question: AskedRound, whole: string): Promise<void> {
    const stillAsked = () => answered === whole && !pending.value;
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    const { answer } = chosen.value ?? {};
    if (stillAsked() && answer) {
      try {
        const why = await link.why(question.rules, answer, question.unit);
        if (stillAsked() && chosen.value) chosen.value = { ...chosen.value, why };
      } catch {
        // Then the reasons stand without what decided.
      }
    }
    await new Promise((resolve) => setTimeout(resolve, IDLE_MS));
    if (!stillAsked()) return;
    try {
      const sound = await link.withoutFaults(question.rules);
      if (stillAsked()) faultless.value = sound;
    } catch {
      // Without it the page lacks one sentence.
    }
  }

  async function ask(question: AskedRound): Promise<void> {
    const key = dayKey(question);
    const whole = key + rulesKey(question);
    if (whole === asking) return;
    const requestId = ++lastRequestId;
    asking = '';
    if (whole === answered) {
      pending.value = false;
      return;
    }
    asking = whole;
    pending.value = true;
    // One round's numbers never stand under another's name.
    if (question.roundId !== roundId) {
      worked.value = null;
      chosen.value = null;
      day = '';
      roundId = question.roundId;
    }
    // The work for another day is no longer needed.
    if (busy.value && key !== day) {
      running?.worker.terminate();
      running = undefined;
      sentDay = '';
    }
    running ??= startRoundWorker('round');
    const { link } = running;
    const slow = setTimeout(() => {
      if (requestId === lastRequestId) busy.value = true;
    }, SLOW_MS);
    try {
      if (key !== sentDay || key !== day || !worked.value) {
        share.value = 0;
        sentDay = key;
        const round = await link.workOut(
          question.request,
          proxy((done: number) => {
            if (requestId === lastRequestId) share.value = done;
          }),
        );
        if (requestId !== lastRequestId) return;
        worked.value = round;
        day = key;
      }
      const answer = await link.choose(null, question.rules, question.against, question.unit);
      if (requestId === lastRequestId) {
        chosen.value = answer;
        problem.value = '';
        answered = whole;
        faultless.value = undefined;
        void askMore(link, question, whole);
      }
    } catch (error) {
      if (requestId === lastRequestId)
        problem.value = `The round could not be worked out: ${(error as Error).message}`;
    } finally {
      clearTimeout(slow);
      if (requestId === lastRequestId) {
        asking = '';
        busy.value = false;
        pending.value = false;
      }
    }
  }
  watch(
    asked,
    (question) => {
      if (question) void ask(question);
      else {
        stop();
        worked.value = null;
        chosen.value = null;
        day = '';
        answered = '';
      }
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return { worked, chosen, faultless, busy, share, pending, problem, stop };
}
