import { unzipSync, type FlateError, type UnzipCallback } from 'fflate/browser';

export { strFromU8 } from 'fflate/browser';

const IN_A_WORKBOOK = /\.(xml|rels)$/;

/**
 * What `read-excel-file` uses to unpack a workbook (vite.config.ts puts it in the place of `fflate`). That starts a
 * worker of its own for each large part, from a text in memory, which the app's content policy forbids; here it is
 * in a worker already. Pictures and the like are left packed.
 */
export function unzip(data: Uint8Array, done: UnzipCallback): void {
  try {
    done(null, unzipSync(data, { filter: ({ name }) => IN_A_WORKBOOK.test(name) }));
  } catch (error) {
    done(error as FlateError, {});
  }
}
