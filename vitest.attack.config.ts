import config from './vitest.config'

/** What attacks the built application as a process of its own; needs `nuxt build` first. */
export default {
  ...config,
  test: {
    include: ['tests/attack/**/*.test.ts'],
    maxWorkers: 2,
    testTimeout: 240_000,
    hookTimeout: 60_000,
  },
}
