import path from 'node:path';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: {
    alias: {
      '@': path.resolve(import.meta.dirname, 'src'),
      'server-only': path.resolve(import.meta.dirname, 'tests/server-only.ts'),
    },
  },
  test: {
    include: [
      'src/**/*.test.{ts,tsx}',
      'tests/{oracles,properties,database,operations,command-line,instruments}/**/*.test.ts',
    ],
    setupFiles: ['tests/all-families.ts'],
    // One module graph for all files of a worker: what a family is worked out to is worked out once.
    isolate: false,
    maxWorkers: 2,
    // The engine makes much that is soon forgotten: room for it is swept less often.
    execArgv: ['--max-semi-space-size=64'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
  },
});
