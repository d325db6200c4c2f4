import { defineConfig } from '@playwright/test'
import { chromiumArguments, chromiumPath } from './scripts/browser.mjs'

const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
const dateFile = 'test-results/today'

const onTheMarket = /(bench|life|markets|plan|purchase|scales)\.spec\.ts/

export default defineConfig({
  testDir: './tests/browser',
  timeout: 240_000,
  expect: { timeout: 30_000 },
  // two lanes side by side, each in order by itself, of about one length: on two cores a third only makes all wait
  workers: 2,
  projects: [
    { name: 'market', workers: 1, testMatch: onTheMarket },
    { name: 'rest', workers: 1, testIgnore: onTheMarket },
  ],
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    launchOptions: { executablePath: chromiumPath() ?? '', args: [...chromiumArguments] },
    contextOptions: { reducedMotion: 'reduce' },
  },
  // Started one after the other: the application whose date the stand-in markets move reads the date they have written.
  webServer: [
    {
      command: 'node .built/server/index.mjs',
      url: `http://127.0.0.1:${port}/api/session`,
      env: {
        HOST: '127.0.0.1',
        PORT: String(port),
        TARVIN_TODAY: '2026-10-31',
        TARVIN_DATABASE_URL: process.env.TARVIN_TEST_DATABASE ?? 'file:test-results/browser.db',
      },
    },
    {
      command: `node --import tsx standins/main.ts ${port + 1} ${dateFile}`,
      url: `http://127.0.0.1:${port + 1}`,
    },
    {
      command: 'node .built/server/index.mjs',
      url: `http://127.0.0.1:${port + 2}/api/session`,
      env: {
        HOST: '127.0.0.1',
        PORT: String(port + 2),
        TARVIN_TODAY_FILE: dateFile,
        TARVIN_POLLING: 'off',
        TARVIN_DATABASE_URL: 'file:test-results/markets.db',
      },
    },
    // the demo, whole: what is only looked at is looked at there
    {
      command: 'node .built/server/index.mjs',
      url: `http://127.0.0.1:${port + 3}/api/session`,
      env: {
        HOST: '127.0.0.1',
        PORT: String(port + 3),
        TARVIN_TODAY: '2026-10-31',
        TARVIN_POLLING: 'off',
        TARVIN_DATABASE_URL: 'file:test-results/demo.db',
      },
    },
    // nothing at all: a newcomer's first evening; and what a spec loads itself. No two lanes meet on one of them
    ...['evening', 'proposals', 'machine'].map((name, index) => ({
      command: 'node .built/server/index.mjs',
      url: `http://127.0.0.1:${port + 4 + index}/api/session`,
      env: {
        HOST: '127.0.0.1',
        PORT: String(port + 4 + index),
        TARVIN_TODAY: '2026-10-31',
        TARVIN_POLLING: 'off',
        TARVIN_DATABASE_URL: `file:test-results/${name}.db`,
      },
    })),
  ],
})
