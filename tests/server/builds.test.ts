import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  realpathSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { builtFolder, noteRunning, putInForce } from '../../scripts/builds.mjs'
import { temporaryFolder } from './testDatabase'

/** Starting the application while another one runs from the same folder must not take its files away. */
let root: string
beforeEach(() => (root = temporaryFolder()))
afterEach(() => rmSync(root, { recursive: true, force: true }))
const builder = (text: string) => (into: string) => {
  mkdirSync(join(into, 'server'))
  writeFileSync(join(into, 'server', 'index.mjs'), text)
}
const inForce = () => readFileSync(join(builtFolder(root), 'server', 'index.mjs'), 'utf8')
const builds = () => readdirSync(join(root, '.builds')).sort()

test('a build is made beside and put in force; the one that runs keeps its files', () => {
  expect(putInForce(root, 'one', builder('1'))).toBe(true)
  const running = realpathSync(builtFolder(root))
  noteRunning(root, process.pid)
  for (const next of ['two', 'three', 'four', 'five']) putInForce(root, next, builder(next))
  expect(inForce()).toBe('five')
  expect(readFileSync(join(running, 'server', 'index.mjs'), 'utf8')).toBe('1')
  // of those that nobody runs two are kept
  expect(builds()).toHaveLength(4)
})

test('the same sources are not built twice; what was in force before comes back without a build', () => {
  putInForce(root, 'one', builder('1'))
  putInForce(root, 'two', builder('2'))
  const fails = () => expect.unreachable()
  expect(putInForce(root, 'one', fails)).toBe(false)
  expect(inForce()).toBe('1')
})

test('a build that fails leaves the one in force, and nothing half made', () => {
  putInForce(root, 'one', builder('1'))
  expect(() =>
    putInForce(root, 'two', (into: string) => {
      builder('half')(into)
      throw new Error('it does not compile')
    }),
  ).toThrow('it does not compile')
  expect(inForce()).toBe('1')
  expect(builds()).toEqual(['one'])
  expect(existsSync(join(root, '.built'))).toBe(true)
})
