import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { safeHeaders } from './server/http/door'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** White space inside a text of a template becomes one space; what stands between tags is kept by the compiler. */
function oneSpaceInText(node: { type: number; content?: unknown }) {
  const text = 2
  if (node.type === text && typeof node.content === 'string')
    node.content = node.content.replace(/[\t\r\n\f ]+/g, ' ')
}

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  // A tool used all evening at one counter: it loads once and then only talks in JSON.
  ssr: false,
  modules: ['@pinia/nuxt', '@nuxt/eslint'],
  css: ['~/assets/css/main.css'],
  alias: { '#core': folder('./core') },
  devtools: { enabled: false },
  telemetry: false,
  components: ['~/ui', '~/shell', '~/places'].map((path) => ({
    path,
    pathPrefix: false,
    extensions: ['.vue'],
  })),
  imports: { dirs: ['~/places/*/state'] },
  sourcemap: false,
  app: {
    head: {
      title: 'Tarvin',
      htmlAttrs: { lang: 'en' },
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
    },
  },
  vite: {
    // A line break between two words or tags of a template is one space, as in HTML, however the formatter breaks lines.
    vue: { template: { compilerOptions: { whitespace: 'preserve', nodeTransforms: [oneSpaceInText] } } },
    plugins: [tailwindcss()],
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 700, reportCompressedSize: false },
  },
  // A place is fetched when somebody points at it, not because its name is in sight: every page names them all.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  hooks: {
    // calls are typed by shared/calls.ts: the page's types need not read every route of the server besides
    'nitro:init': (nitro) => {
      nitro.hooks.hook('types:extend', (types) => {
        types.routes = {}
      })
    },
    // what comes with its first opening is not named in the page either
    'build:manifest': (manifest) => {
      for (const each of Object.values(manifest)) each.dynamicImports = []
    },
  },
  // The development server of this release looks for a server entry that a client-only application has only so.
  $development: { experimental: { viteEnvironmentApi: true } },
  // files that ship with the application are answered before anything of ours looks at the request
  routeRules: { '/**': { headers: { ...safeHeaders } } },
  nitro: {
    // a build is made beside the one in force, see scripts/builds.mjs
    ...(process.env.TARVIN_OUTPUT ? { output: { dir: process.env.TARVIN_OUTPUT } } : {}),
    // names this build, so that what another one has kept of its readings is not taken over
    replace: { 'process.env.TARVIN_EDITION': JSON.stringify(String(Date.now())) },
    alias: { '#core': folder('./core') },
    typescript: {
      tsConfig: {
        include: [
          ...['core', 'server', 'shared', 'attack', 'handmade'].map((name) => `../tests/${name}/**/*.ts`),
          ...[
            '../tests/*.ts',
            '../core/**/*.ts',
            '../demo/**/*.ts',
            '../standins/**/*.ts',
            '../scripts/**/*.ts',
          ],
        ],
      },
    },
    serverAssets: [{ baseName: 'migrations', dir: folder('./server/db/migrations') }],
    compressPublicAssets: { gzip: true },
    // sizes are looked after by a test, not by reading what is printed
    logging: { compressedSizes: false },
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true },
      include: ['../tests/app/**/*.ts', '../tests/browser/**/*.ts', '../*.config.ts'],
    },
  },
  eslint: { config: { stylistic: false } },
})
