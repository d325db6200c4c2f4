import { beforeAll, expect, test } from 'vitest'
import type { Part, PartFacts, Role } from '#core/parts/part'
import type { BuildQuestion } from '#core/planning/buildQuestion'
import { groundOf } from '#core/planning/planGround'
import type { Solver } from '#core/planning/solvePlan'
import { noneReasonWords, whyNone } from '#core/planning/whyNone'
import { machineWith } from '../machine/fit/soundMachine'
import { newSolver } from './newSolver'
import { questionOf } from './questionOf'

/** P4: the reason named is the true one, with what lifts it. */
let solve: Solver
beforeAll(async () => {
  solve = await newSolver()
})
const sound = machineWith()
const other = (role: Role, facts: PartFacts, name: string): Part => {
  const own = sound.find((each) => each.role === role)!
  return { ...own, id: name, name, facts: { ...own.facts, ...facts } }
}
const question = (parts: readonly Part[], some: Partial<BuildQuestion> = {}) =>
  questionOf(parts, ({ name }) => (name.startsWith('dear') ? 9000 : 3000), some)
const why = (parts: readonly Part[], some: Partial<BuildQuestion> = {}) => {
  const asked = question(parts, some)
  return whyNone(asked, groundOf(asked), solve)
}

test('a role that nothing fills is named; a cooler in the CPU’s box fills its own', () => {
  const bare = sound.filter(({ role }) => role !== 'cooler')
  expect(why(bare)).toEqual({ kind: 'role', role: 'cooler' })
  const boxed = bare.map((part) =>
    part.role === 'cpu' ? { ...part, facts: { ...part.facts, coolerIncluded: true } } : part,
  )
  expect(why(boxed, { wishes: { ...question([]).wishes, budget: 100 } })).toEqual({ kind: 'wishes' })
})

test('of two roles that clash the cheapest of each; of two that are pinned those', () => {
  const wrong = sound.map((part) => (part.role === 'cpu' ? other('cpu', { socket: 'TD-B' }, 'wrong') : part))
  const clash = why([...wrong, other('cpu', { socket: 'TD-C' }, 'dear one')])
  expect(clash).toMatchObject({ kind: 'clash', one: { name: 'wrong' }, other: { role: 'motherboard' } })
  const pins = ['way:dear one', `way:${sound.find(({ role }) => role === 'motherboard')!.id}`]
  const pinned = why([...sound, other('cpu', { socket: 'TD-C' }, 'dear one')], { pins })
  expect(pinned).toMatchObject({ kind: 'clash', one: { name: 'dear one' } })
})

test('in words: what was left out is said with its reason', () => {
  const leftOut = [{ text: 'Lull 120', why: 'planned for Attic', roles: ['cooler' as const] }]
  expect(noneReasonWords({ kind: 'role', role: 'cooler' }, leftOut)).toBe(
    'No option for the cooler: Lull 120 is left out (planned for Attic).',
  )
  expect(noneReasonWords({ kind: 'role', role: 'case' }, leftOut)).toContain('add leads')
  const [one, two] = [sound[0]!, sound[1]!]
  expect(noneReasonWords({ kind: 'clash', one, other: two }, [])).toContain('do not go together')
  expect(noneReasonWords({ kind: 'wishes' }, [])).toContain('every wish')
})
