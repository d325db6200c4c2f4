import { partLabel, type Part } from '../../../parts/part'
import { add, cite, citeAll, notTold, pairsOf, remove, type FitRule, type Clash, type Outcome } from '../rule'
import { fansOf } from '../sums'

/** Every fan needs a place in the case and a header on the board. */
export const fanHeaders: FitRule = {
  id: 'fan-headers',
  area: 'connections',
  severity: 'needs',
  question: 'Is there a mount and a header for every fan?',
  reads: [
    { role: 'case', facts: ['fans', 'fanPlaces'] },
    { role: 'motherboard', facts: ['fanHeaders'] },
  ],
  tellsUnknown: true,
  concerns: (machine) => machine.all('case').length > 0 && machine.all('motherboard').length > 0,
  check: (machine) =>
    pairsOf(machine, 'case', 'motherboard').flatMap(([chassis, board]): Outcome[] => {
      const fans = fansOf(machine)?.length ?? null
      if (fans === null) return [notTold(chassis, 'fans')]
      const bought = machine.all('extra').filter(({ facts }) => (facts.fans ?? 0) > 0)
      const { fanPlaces } = chassis.facts
      if (bought.length > 0 && fanPlaces !== undefined && fans > fanPlaces)
        return [
          {
            what: `${fans} fans, ${fanPlaces} mounts in ${partLabel(chassis)}`,
            why: [citeAll(bought, 'fans', String(fans)), cite(chassis, 'fanPlaces')],
            fixes: [remove(bought[0]!, `leave out ${partLabel(bought[0]!)}`)],
          },
        ]
      const { fanHeaders: headers } = board.facts
      if (headers === undefined) return fans <= 1 ? [] : [notTold(board, 'fanHeaders')]
      if (fans <= headers || machine.extra((facts) => facts.fixes === 'fan-header')) return []
      return [tooFew(chassis, board, fans, headers)]
    }),
}

const tooFew = (chassis: Part, board: Part, fans: number, headers: number): Clash => ({
  what: `${fans} fans, ${headers} fan ${headers === 1 ? 'header' : 'headers'} on ${partLabel(board)}`,
  why: [cite(chassis, 'fans'), cite(board, 'fanHeaders')],
  fixes: [add('extra', 'a fan splitter', (part) => part.facts.fixes === 'fan-header')],
})
