import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    pool: 'forks',
    maxWorkers: 2,
    // Property tests take seconds on a busy machine.
    testTimeout: 120_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'node',
          environment: 'node',
          // Nothing here changes what is shared: the engine and its library are read once for each worker, not for each file.
          isolate: false,
          include: ['{core,library,server,cli,demo}/src/**/*.test.ts'],
          setupFiles: ['./core/test/propertySeed.ts'],
        },
      },
      {
        extends: true,
        test: {
          name: 'web',
          environment: 'jsdom',
          include: ['web/src/**/*.test.{ts,tsx}'],
          setupFiles: ['./web/test/setup.ts'],
        },
      },
    ],
    coverage: { provider: 'v8', include: ['core/src/**'] },
  },
})
