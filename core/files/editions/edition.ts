import type { Condition } from '../../reading/sales/soldRecord'

/** A frozen, dated copy of a build. Amounts in minor units of its currency. */
export interface EditionContent {
  readonly format: 'tarvin-edition'
  readonly version: '1'
  readonly name: string
  readonly purpose: string
  /** Text for a buyer; the builder's private notes never travel. */
  readonly saleText: string
  readonly currency: string
  readonly region: string
  readonly frozenOn: string
  readonly lines: readonly EditionLine[]
  /** Null where something in it has no price. */
  readonly totals: {
    readonly payNow: number | null
    readonly afterRebates: number | null
    readonly expected: number | null
    readonly anyoneCanPay: number
    readonly unknownStreet: number
    readonly budget: number
  }
  readonly targets: readonly EditionTarget[]
  readonly weighing: {
    readonly years: number
    readonly machines: readonly EditionMachine[]
    readonly verdicts: readonly string[]
  }
  readonly findings: readonly { readonly severity: string; readonly what: string }[]
  readonly openQuestions: readonly string[]
}

export interface EditionLine {
  readonly label: string
  readonly parts: readonly {
    readonly id: string
    readonly make: string
    readonly name: string
    readonly role: string
    /** What it really sold for when the edition was frozen; left out where nothing is known. */
    readonly street?: EditionStreet
  }[]
  readonly scope: string
  readonly source: string
  readonly kind: string
  /** Null where not known. */
  readonly payNow: number | null
  readonly isPaid: boolean
  readonly anyoneCanPay: number | null
  /** Days that a hunt takes on the average; null where not known, left out where it is none. */
  readonly daysToWait?: number | null
  readonly reason: string
  /** As it is or is meant to be bought; left out where not known. */
  readonly condition?: Condition | null
  /** How a thing of the machine was found to be: `works`, or its fault. */
  readonly state?: string
  readonly link?: string
  readonly codes?: readonly {
    readonly word: string
    readonly takesOff: string
    readonly lastDay: string | null
  }[]
  readonly rebates?: readonly { readonly kind: string; readonly amount: number; readonly lastDay: string }[]
}

/** Marks with what they rest on, so that a stranger can find them again. */
export interface EditionStreet {
  readonly patient: number
  readonly typical: number
  readonly hurried: number
  readonly count: number
  /** First and last day of sale. */
  readonly from: string
  readonly to: string
  /** Manners of sale, and the words that titles must have. */
  readonly manners: readonly string[]
  readonly words: readonly string[]
  /** Where those sales were seen, and how many others the builder left out by hand; left out in older editions. */
  readonly sites?: readonly string[]
  readonly leftOutByHand?: number
}

export interface EditionTarget {
  /** What the machine's own runs say of throttling; left out where none throttled. */
  readonly heat?: string
  readonly name: string
  readonly wanted: number
  readonly wantedLow: number | null
  readonly averageFps: number | null
  readonly range: { readonly low: number; readonly high: number } | null
  readonly lowFps: number | null
  readonly isMeasured: boolean
  readonly verdict: string | null
}

export interface EditionMachine {
  readonly name: string
  readonly steps: readonly { readonly id: string; readonly label: string; readonly amount: number }[]
  readonly total: number
}

/** What has changed from one edition to the next. */
export interface EditionDrift {
  readonly lines: readonly {
    readonly label: string
    readonly change: 'added' | 'gone' | 'dearer' | 'cheaper' | 'same'
    readonly before: number | null
    readonly after: number | null
  }[]
  readonly totals: readonly {
    readonly name: string
    readonly before: number | null
    readonly after: number | null
  }[]
  readonly targets: readonly {
    readonly name: string
    readonly before: number | null
    readonly after: number | null
  }[]
  /** Set where the two are in different currencies: amounts are then not held against each other. */
  readonly currencies: { readonly before: string; readonly after: string } | null
}

/**
 * Compares two editions of a build: a line is the same where its parts are, whatever it is called; paid prices that have not
 * moved are the same. In different currencies only lines and targets are held against each other.
 */
export function editionDrift(before: EditionContent, after: EditionContent): EditionDrift {
  const sameMoney = before.currency === after.currency
  const keyOf = (line: EditionLine) =>
    line.parts.length === 0
      ? line.label
      : line.parts
          .map((part) => part.id)
          .sort()
          .join('+')
  const taken = new Set<number>()
  const lines = before.lines.map((old): EditionDrift['lines'][number] => {
    const at = after.lines.findIndex((line, index) => !taken.has(index) && keyOf(line) === keyOf(old))
    if (at < 0) return { label: old.label, change: 'gone', before: old.payNow, after: null }
    taken.add(at)
    const now = after.lines[at]!
    const change =
      !sameMoney || now.payNow === old.payNow || now.payNow === null || old.payNow === null
        ? 'same'
        : now.payNow > old.payNow
          ? 'dearer'
          : 'cheaper'
    return { label: now.label, change, before: old.payNow, after: now.payNow }
  })
  const added = after.lines
    .filter((_, index) => !taken.has(index))
    .map((line): EditionDrift['lines'][number] => ({
      label: line.label,
      change: 'added',
      before: null,
      after: line.payNow,
    }))
  const totalNames = {
    payNow: 'total',
    afterRebates: 'after rebates',
    expected: 'expected total',
    anyoneCanPay: 'market price',
  } as const
  return {
    lines: [...lines, ...added],
    totals: sameMoney
      ? (Object.keys(totalNames) as (keyof typeof totalNames)[]).map((key) => ({
          name: totalNames[key],
          before: before.totals[key],
          after: after.totals[key],
        }))
      : [],
    targets: [...new Set([...before.targets, ...after.targets].map((target) => target.name))].map((name) => ({
      name,
      before: before.targets.find((target) => target.name === name)?.averageFps ?? null,
      after: after.targets.find((target) => target.name === name)?.averageFps ?? null,
    })),
    currencies: sameMoney ? null : { before: before.currency, after: after.currency },
  }
}
