import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { expect, test } from 'vitest'

/** What the code and the documents point to is there: files of the repository, headings of `docs/formulas.md`. */
const ours = execFileSync('git', ['ls-files'], { encoding: 'utf8' }).split('\n').filter(existsSync)
const textOf = (file: string) => readFileSync(file, 'utf8')
const code = ours.filter((file) => /^(app|core|server|shared|demo|scripts)\/.*\.(ts|vue|mjs)$/.test(file))
const documents = ours.filter((file) => /^(README|docs\/[^/]+)\.md$/.test(file))

test('a document that a comment names is in the repository', () => {
  const gone = code.flatMap((file) =>
    [...textOf(file).matchAll(/`([\w-]+\.md)`|\b(docs\/[\w/-]+\.md)/g)]
      .map(([, bare, whole]) => whole ?? bare!)
      .filter((name) => !existsSync(name) && !existsSync(`docs/${name}`))
      .map((name) => `${file}: ${name}`),
  )
  expect(gone).toEqual([])
})

test('a section of the formulas that a comment names has its heading', () => {
  const formulas = textOf('docs/formulas.md')
  const sections = [...formulas.matchAll(/^## (.+)$|^\*\*(.+?)\*\*/gm)].map(
    ([, heading, bold]) => heading ?? bold!,
  )
  const named = code.flatMap((file) =>
    [
      ...textOf(file)
        .replace(/\s*\n \* /g, ' ')
        .matchAll(/docs\/formulas\.md(?: \(|, )([A-Z][\w ,-]+?)\)/g),
    ].map(([, section]) => ({ file, section: section! })),
  )
  expect(named.length).toBeGreaterThan(25)
  expect(named.filter(({ section }) => !sections.some((each) => each.startsWith(section)))).toEqual([])
})

test('a file that a document names is there', () => {
  const gone = documents.flatMap((document) =>
    [
      ...textOf(document).matchAll(
        /`((?:app|core|server|shared|tests|scripts|standins|demo)\/[\w./[\]-]+\.(?:ts|vue|mjs))`/g,
      ),
    ]
      .map(([, path]) => path!)
      .filter((path) => !existsSync(path))
      .map((path) => `${document}: ${path}`),
  )
  expect(gone).toEqual([])
})
