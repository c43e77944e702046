import { ref, type Ref } from 'vue';

interface Attempt {
  /** Why the last thing did not come to be; empty where it did. */
  problem: Ref<string>;
  /** Does something with the server. @returns whether it came to be */
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
