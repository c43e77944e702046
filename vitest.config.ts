import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

// Guards against a test that hangs, on whatever machine; how quick anything is, the bench says.
const guards = { testTimeout: 240_000, hookTimeout: 240_000, expect: { poll: { timeout: 60_000 } } };

// Tests of functions that keep no state share one process: most of a short test file is the start of its own.
const pure = { pool: 'threads', isolate: false } as const;

export default defineConfig({
  plugins: [vue()],
  test: {
    maxWorkers: '100%',
    projects: [
      { extends: true, test: { ...guards, ...pure, name: 'core', include: ['core/test/**/*.test.ts'] } },
      {
        extends: true,
        test: { ...guards, ...pure, name: 'contract', include: ['contract/test/**/*.test.ts'] },
      },
      {
        extends: true,
        test: {
          ...guards,
          name: 'web',
          isolate: false,
          environment: 'happy-dom',
          setupFiles: 'web/test/setup.ts',
          include: ['web/test/**/*.test.ts'],
        },
      },
      { extends: true, test: { ...guards, name: 'command', include: ['command/test/**/*.test.ts'] } },
      {
        extends: true,
        test: {
          ...guards,
          name: 'server',
          isolate: false,
          include: ['server/test/**/*.test.ts'],
          globalSetup: 'server/test/cluster.ts',
        },
      },
    ],
  },
});
