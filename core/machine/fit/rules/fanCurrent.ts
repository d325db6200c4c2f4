import { partLabel } from '../../../parts/part'
import { add, cite, citeAll, remove, type FitRule, type Outcome } from '../rule'

/** What a header for a fan gives, A. */
const headerA = 1

/** Strong fans on few headers: a splitter shares one header's ampere, and what is over burns a trace of the board. */
export const fanCurrent: FitRule = {
  id: 'fan-current',
  area: 'power',
  severity: 'needs',
  question: 'Are the fan headers rated for the fans?',
  reads: [{ role: 'motherboard', facts: ['fanHeaders'] }],
  concerns: (machine) =>
    [...machine.all('case'), ...machine.all('extra')].some(({ facts }) => (facts.fanAmps ?? 0) > 0),
  tellsUnknown: true,
  check: (machine) =>
    machine.all('motherboard').flatMap((board): Outcome[] => {
      const blowing = [...machine.all('case'), ...machine.all('extra')].filter(
        ({ facts }) => (facts.fans ?? 0) > 0 && facts.fanAmps !== undefined,
      )
      const amps = blowing.reduce((sum, { facts }) => sum + facts.fans! * facts.fanAmps!, 0)
      const strong = blowing.find(({ facts }) => facts.fanAmps! > headerA)
      const { fanHeaders: headers } = board.facts
      if (!strong && (amps <= headerA || (headers !== undefined && amps <= headers * headerA))) return []
      if (!strong && headers === undefined) return [{ unknown: [cite(board, 'fanHeaders')] }]
      const [first] = blowing
      return [
        {
          what: strong
            ? `A fan of ${partLabel(strong)} draws ${strong.facts.fanAmps} A; a header on ` +
              `${partLabel(board)} is rated for ${headerA} A`
            : `The fans draw ${Number(amps.toFixed(2))} A; the headers on ${partLabel(board)} are ` +
              `rated for ${headers! * headerA} A`,
          why: [citeAll(blowing, 'fan current', `${Number(amps.toFixed(2))} A`), cite(board, 'fanHeaders')],
          fixes: [
            add(
              'extra',
              'a fan hub powered by the PSU',
              ({ facts }) => facts.fixes === 'fan-header' && facts.feedsFrom !== undefined,
            ),
            ...(first!.role === 'extra' ? [remove(first!, `leave out ${partLabel(first!)}`)] : []),
          ],
        },
      ]
    }),
}
