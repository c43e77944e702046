import { ref, type Ref } from 'vue';

interface Attempt {
  /** Why the last action failed; empty if it worked. */
  problem: Ref<string>;
  /** Does something with the server. @returns whether it worked */
  attempt: (work: () => Promise<unknown>) => Promise<boolean>;
}

/** Things done one at a time with the server, and what is said where one is refused. */
export function useAttempt(): Attempt {
  const problem = ref('');
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    problem.value = '';
    try {
      await work();
      return true;
    } catch (error) {
      problem.value = (error as Error).message;
      return false;
    }
  }
  return { problem, attempt };
}
