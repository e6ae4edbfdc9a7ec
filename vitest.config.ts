import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        // What is pure leaves nothing behind: its files share a thread and what it has loaded.
        test: { name: 'unit', include: ['src/**/*.test.ts', 'devices/**/*.test.ts'], pool: 'threads', isolate: false, testTimeout: 60_000 },
      },
      {
        resolve: { alias },
        // Files share a process, and with it what it has loaded; `ownFolder` lets go of what the file before held open.
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts'],
          globalSetup: ['tests/pool-setup.mjs'],
          isolate: false,
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        // What asks Next who is there is given an answer of its own, file by file.
        test: {
          name: 'actions',
          include: ['tests/actions/**/*.test.ts'],
          globalSetup: ['tests/pool-setup.mjs'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: ['tests/browser/seed.ts'],
          // They hold the application to a clock: beside another file's, on two cores, it loses.
          fileParallelism: false,
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
    ],
  },
});
