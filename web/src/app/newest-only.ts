/**
 * Asks one question at a time. What is asked while another is being answered waits, and replaces whatever
 * waited before it: of many questions in a row the first and the last are answered.
 * @param answer `isNewest` says whether nothing was asked since
 */
export function newestOnly<Question>(
  answer: (question: Question, isNewest: () => boolean) => Promise<void>,
): (question: Question) => void {
  let waiting: { question: Question } | undefined;
  let isBusy = false;

  async function answerAll(): Promise<void> {
    isBusy = true;
    try {
      while (waiting) {
        const { question } = waiting;
        waiting = undefined;
        await answer(question, () => waiting === undefined);
      }
    } finally {
      isBusy = false;
    }
  }
  return (question) => {
    waiting = { question };
    if (!isBusy) void answerAll();
  };
}
