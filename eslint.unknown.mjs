/** Figures of money and frames that may be unknown: nothing is no answer for them. Facts are the fit rules' own. */
const figures = new Set([
  ...['payNow', 'afterRebates', 'expected', 'left', 'worthToday', 'anyoneCanPay', 'street', 'price', 'cost'],
  ...['averageFps', 'lowFps', 'fps', 'wattsFree'],
])

/** Where nothing is right, with how often: a thing that is mine costs nothing more, what is sold beside a bound is none. */
const allowed = {
  'app/workings/machineWorkings.ts': 2,
  'core/comparison/adjustments/enteredPrice.ts': 1,
  'core/comparison/components/consoleModes.ts': 2,
  'core/comparison/components/rivalFacts.ts': 1,
  'core/ledger/receipt.ts': 1,
  'core/machine/upgrades/stepsUp.ts': 3,
  'server/places/bench/readFrameValue.ts': 1,
  'server/places/plan/planCarriedOut.ts': 2,
  'server/places/scales/weighedMachines.ts': 1,
}

const unknownIsAValue = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const path = context.filename.slice(context.cwd.length + 1)
    const found = []
    return {
      LogicalExpression(node) {
        const { operator, left, right } = node
        const name = left.type === 'ChainExpression' ? left.expression.property?.name : left.property?.name
        if (operator === '??' && right.value === 0 && figures.has(name ?? left.name)) found.push(node)
      },
      'Program:exit'() {
        if (found.length <= (allowed[path] ?? 0)) return
        for (const node of found)
          context.report({ node, message: 'unknown is a value: off on both sides, "at least", or asked' })
      },
    }
  },
}

/** Nowhere is an unknown figure taken for nothing. */
export const unknownStaysUnknown = {
  files: ['core/**/*.ts', 'server/**/*.ts', 'app/**/*.ts'],
  plugins: { unknown: { rules: { 'is-a-value': unknownIsAValue } } },
  rules: { 'unknown/is-a-value': 'error' },
}
