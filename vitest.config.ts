import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import Unimport from 'unimport/unplugin'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  // what the application imports by itself, so that its components and state can be tried without a browser
  plugins: [
    vue(),
    Unimport.vite({
      presets: ['vue', 'vue-router', 'pinia'],
      dirs: ['app/composables/*', 'app/stores/*', 'app/places/*/state/*'].map(folder),
      addons: { vueTemplate: true },
    }),
  ],
  resolve: {
    alias: {
      '#core': folder('./core'),
      '#shared': folder('./shared'),
      '#server': folder('./server'),
      '~~': folder('.'),
      '~': folder('./app'),
    },
  },
  test: {
    projects: [
      // what keeps nothing between two calls, or keeps it by database: the files of a worker share what they import
      {
        extends: true,
        test: {
          name: 'core and server',
          include: ['tests/*.test.ts', 'tests/{core,server,shared}/**/*.test.ts'],
          isolate: false,
        },
      },
      { extends: true, test: { name: 'page', include: ['tests/app/**/*.test.ts'] } },
    ],
    // one worker a core: by itself Vitest keeps one core free, on two that is half of them
    maxWorkers: 2,
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
})
