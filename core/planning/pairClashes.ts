import { takesBoard } from '../parts/boardSize'
import type { Part, PartFacts } from '../parts/part'
import { compared } from '../parts/vocabularies'

type Clash = (a: PartFacts, b: PartFacts) => boolean
const known = <T>(a: T | undefined, b: T | undefined): a is T => a !== undefined && b !== undefined

/** Parts of two roles that cannot stand in one machine, by the facts that are given; what is not known never clashes. */
const clashes: readonly (readonly [role: string, other: string, clash: Clash])[] = [
  [
    'cpu',
    'motherboard',
    (cpu, board) => known(cpu.socket, board.socket) && compared(cpu.socket) !== compared(board.socket!),
  ],
  [
    'cpu',
    'cooler',
    (cpu, cooler) =>
      known(cpu.socket as string | undefined, cooler.coolerSockets as unknown as string | undefined) &&
      !cooler.coolerSockets!.some((each) => compared(each) === compared(cpu.socket!)),
  ],
  [
    'memory',
    'motherboard',
    (memory, board) =>
      known(memory.memoryGeneration, board.memoryGeneration) &&
      memory.memoryGeneration !== board.memoryGeneration,
  ],
  [
    'motherboard',
    'case',
    (board, chassis) =>
      board.formFactor !== undefined &&
      chassis.boardSizes !== undefined &&
      !takesBoard(chassis.boardSizes, board.formFactor),
  ],
  [
    'graphics',
    'case',
    (card, chassis) => known(card.lengthMm, chassis.maxCardMm) && card.lengthMm > chassis.maxCardMm!,
  ],
  ['graphics', 'supply', lacksLeads],
]

/** An 8-pin lead feeds a 6-pin socket as well, never the other way round; decided from what is known where that decides. */
function lacksLeads(card: PartFacts, supply: PartFacts): boolean {
  const { eightPinLeads: wantsEight = 0, sixPinLeads: wantsSix = 0 } = card
  const eight = supply.eightPinLeads
  if (eight === undefined) return false
  if (wantsEight > eight) return true
  return supply.sixPinLeads !== undefined && wantsSix > supply.sixPinLeads + (eight - wantsEight)
}

/** Pairs of parts that clash, by their ids. */
export function pairClashes(parts: readonly Part[]): [string, string][] {
  return clashes.flatMap(([role, other, clash]) =>
    parts
      .filter((part) => part.role === role)
      .flatMap((a) =>
        parts
          .filter((part) => part.role === other && clash(a.facts, part.facts))
          .map((b): [string, string] => [a.id, b.id]),
      ),
  )
}
