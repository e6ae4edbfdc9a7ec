import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

const IN_CHROMIUM = { globalSetup: ['tests/browser/seed.ts'], testTimeout: 300_000, hookTimeout: 300_000 };
const TIMED = ['tests/browser/prove.test.ts', 'tests/browser/map.test.ts'];

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        // What is pure leaves nothing behind: its files share a thread and what it has loaded.
        test: { name: 'unit', include: ['src/**/*.test.ts', 'devices/**/*.test.ts'], pool: 'threads', isolate: false },
      },
      {
        resolve: { alias },
        test: { name: 'server', include: ['tests/server/**/*.test.ts'], testTimeout: 60_000, hookTimeout: 60_000 },
      },
      {
        resolve: { alias },
        // Each file has an application, a shop and a browser of its own: two go at a time.
        test: { ...IN_CHROMIUM, name: 'browser', include: ['tests/browser/**/*.test.ts'], exclude: TIMED, maxWorkers: 2 },
      },
      {
        resolve: { alias },
        // These hold the application to a clock, so nothing else may take its time.
        test: { ...IN_CHROMIUM, name: 'timed', include: TIMED, fileParallelism: false },
      },
    ],
  },
});
