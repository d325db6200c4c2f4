import { CoreError } from '../errors/coreError'

/** Where a thing of mine is: in exactly one place. */
export const itemPlaces = ['ordered', 'build', 'shelf', 'returning', 'gone'] as const
export type ItemPlace = (typeof itemPlaces)[number]

/** How a thing was found to be. */
export const itemStates = ['unseen', 'works', 'faulty', 'dead'] as const
export type ItemState = (typeof itemStates)[number]

/** Why a thing is gone. */
export const goneReasons = [
  'cancelled',
  'missing',
  'returned',
  'sold',
  'sold-with-machine',
  'traded-in',
  'written-off',
  'split',
] as const
export type GoneReason = (typeof goneReasons)[number]

/** The part of a thing that its life decides on. */
export interface ItemStanding {
  readonly place: ItemPlace
  readonly state: ItemState
  readonly goneBecause: GoneReason | null
}

interface Step {
  /** Said of the thing where the step is refused: `cannot ${does}`. */
  readonly does: string
  readonly from: readonly ItemPlace[]
}

/**
 * Everything that may happen to a thing, and from where; docs/formulas.md (Lives and figures). What is not in this
 * table is refused. A thing that is gone because it was sold, alone or with a machine, may come back from its buyer.
 */
export const itemSteps = {
  arrive: { does: 'arrive', from: ['ordered'] },
  cancel: { does: 'be cancelled', from: ['ordered'] },
  miss: { does: 'be missing from its order', from: ['ordered'] },
  move: { does: 'be moved', from: ['build', 'shelf'] },
  find: { does: 'be identified as another part', from: ['build', 'shelf', 'returning'] },
  sendBack: { does: 'be sent back', from: ['build', 'shelf'] },
  refund: { does: 'be refunded as a return', from: ['returning'] },
  comeBack: { does: 'come back from the seller', from: ['returning'] },
  refundKept: { does: 'be partly refunded', from: ['ordered', 'build', 'shelf', 'returning'] },
  sell: { does: 'be sold', from: ['build', 'shelf'] },
  tradeIn: { does: 'be traded in', from: ['build', 'shelf'] },
  writeOff: { does: 'be written off', from: ['build', 'shelf'] },
  split: { does: 'be split', from: ['build', 'shelf'] },
  sellWithMachine: { does: 'be sold with its PC', from: ['build'] },
  takeBack: { does: 'come back from the buyer', from: ['gone'] },
} as const satisfies Readonly<Record<string, Step>>
export type ItemStep = keyof typeof itemSteps

const placeWords: Readonly<Record<ItemPlace, string>> = {
  ordered: 'still on order',
  build: 'in a build',
  shelf: 'on the shelf',
  returning: 'being returned',
  gone: 'gone',
}

/**
 * Refuses a step that the table does not allow, with the reason.
 *
 * @throws CoreError `not-possible` with `path`
 * @example assertItemCan('sell', { place: 'ordered', state: 'unseen', goneBecause: null }, 'the card') // throws not-possible
 */
export function assertItemCan(step: ItemStep, item: ItemStanding, name: string, path = ''): void {
  const { does, from }: Step = itemSteps[step]
  const isSold = item.goneBecause === 'sold' || item.goneBecause === 'sold-with-machine'
  if (from.includes(item.place) && (step !== 'takeBack' || isSold)) return
  throw new CoreError('not-possible', { name, state: placeWords[item.place], does }, path)
}

/**
 * Refuses a change of what a thing was found to be: it cannot be unseen again, and what is dead works again only by a
 * repair.
 *
 * @throws CoreError `not-possible` with `path`
 * @example assertFound('dead', 'works', { repaired: true }) // undefined: allowed
 */
export function assertFound(
  from: ItemState,
  to: ItemState,
  { repaired = false, path = '' }: { repaired?: boolean; path?: string } = {},
): void {
  if (to === 'unseen') throw new CoreError('inspected', {}, path)
  if (from === 'dead' && to !== 'dead' && !repaired) throw new CoreError('dead', {}, path)
}
