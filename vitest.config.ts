import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: {
    alias: {
      '#core': folder('./core'),
      '#shared': folder('./shared'),
      '#server': folder('./server'),
      '~~': folder('.'),
      '~': folder('./app'),
    },
  },
  test: { include: ['tests/**/*.test.ts'], exclude: ['tests/browser/**'], testTimeout: 30_000 },
})
