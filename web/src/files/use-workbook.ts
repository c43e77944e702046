import { transfer, wrap } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import { watchWorker } from '../offline/missing-part';
import { MAX_WORKBOOK_BYTES, type WorkbookSheet } from './workbook';
import type { WorkbookWorker } from './workbook-worker';

/** A sheet of a workbook, as the file of text it would be. */
export function fileOfSheet(workbook: string, text: string): File {
  return new File([text], workbook, { type: 'text/tab-separated-values' });
}

/** Each sheet under its name, as lists of several players are written. */
export const allSheets = (sheets: readonly WorkbookSheet[]): string =>
  sheets.map(({ name, text }) => `${name}\n${text}`).join('\n\n');

/** Reads workbooks, one at a time, in a worker that ends with it. */
export function useWorkbook() {
  const isReading = ref(false);
  const problem = ref('');
  /** Of a workbook with several: one is to be chosen. */
  const sheets = shallowRef<readonly WorkbookSheet[]>([]);
  let stop = () => {};

  /** @returns its sheets that have cells; none where it could not be read, or was not to be read any longer */
  async function read(file: File): Promise<readonly WorkbookSheet[]> {
    stop();
    problem.value = '';
    sheets.value = [];
    if (file.size > MAX_WORKBOOK_BYTES) {
      problem.value = `${file.name} is ${(file.size / 1e6).toFixed(0)} MB; ${MAX_WORKBOOK_BYTES / 1e6} MB is the limit for a workbook. Save the sheet as CSV.`;
      return [];
    }
    const worker = watchWorker(
      new Worker(new URL('./workbook-worker.ts', import.meta.url), { type: 'module', name: 'workbook' }),
    );
    isReading.value = true;
    const stopped = new Promise<readonly WorkbookSheet[]>((resolve) => {
      stop = () => {
        worker.terminate();
        isReading.value = false;
        resolve([]);
      };
    });
    const reading = file
      .arrayBuffer()
      .then((bytes) => wrap<WorkbookWorker>(worker).sheetsOf(transfer(bytes, [bytes])))
      .then((found) => {
        if (found.length === 0) problem.value = `${file.name}: no sheet of it has anything in it.`;
        return found;
      })
      .catch((error: unknown) => {
        problem.value = `${file.name}: ${(error as Error).message}`;
        return [];
      });
    const found = await Promise.race([reading, stopped]);
    stop();
    if (found.length > 1) sheets.value = found;
    return found;
  }
  onScopeDispose(() => {
    stop();
  });
  return { isReading, problem, sheets, read, cancel: () => stop() };
}
