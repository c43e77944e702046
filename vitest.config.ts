import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [vue()],
  test: {
    projects: [
      { extends: true, test: { name: 'core', include: ['core/test/**/*.test.ts'] } },
      { extends: true, test: { name: 'contract', include: ['contract/test/**/*.test.ts'] } },
      { extends: true, test: { name: 'web', include: ['web/test/**/*.test.ts'] } },
      { extends: true, test: { name: 'command', include: ['command/test/**/*.test.ts'], testTimeout: 60_000 } },
      { extends: true, test: { name: 'server', include: ['server/test/**/*.test.ts'], globalSetup: 'server/test/cluster.ts', testTimeout: 30_000 } },
    ],
  },
});
