import { partLabel, roleNames, roles, type Role } from '../../parts/part'
import type { EditionContent, EditionTarget } from './edition'
import { soldWith } from './readers'

/**
 * The text of a listing for a machine that is offered: what is in it as it was found, how fast it is, what is wrong with it,
 * and no word of what it cost. Plain lines, to be copied into any form.
 *
 * @example a card that works and a fan that rattles: `Graphics card: Tarn 640 8 GB, used, works`, and under
 * `Said openly`: `CPU cooler: Lull 120: rattles`
 */
export function listingText(edition: EditionContent): string {
  const things = soldWith(edition.lines).flatMap(({ parts, condition, state }) =>
    parts.map((part) => ({ role: part.role as Role, name: partLabel(part), condition, state })),
  )
  const ordered = roles.flatMap((role) => things.filter((thing) => thing.role === role))
  const faults = ordered.filter(({ state }) => state !== undefined && isFault(state))
  const heat = edition.targets.find((target) => target.heat !== undefined)?.heat
  const known = edition.targets.filter(({ averageFps }) => averageFps !== null)
  return [
    [edition.name, edition.saleText],
    ...(ordered.length > 0
      ? [
          [
            'Parts',
            ...ordered.map(({ role, name, condition, state }) =>
              [
                `${capital(roleNames[role])}: ${name}`,
                condition,
                state === undefined || isFault(state) ? null : state,
              ]
                .filter((each) => each)
                .join(', '),
            ),
          ],
        ]
      : []),
    ...(known.length > 0
      ? [
          [
            'Performance',
            ...[...known].sort((a, b) => Number(b.isMeasured) - Number(a.isMeasured)).map(speedOf),
          ],
        ]
      : []),
    ...(faults.length > 0 || heat !== undefined
      ? [
          [
            'Known faults',
            ...faults.map(({ role, name, state }) => `${capital(roleNames[role])}: ${name}: ${state}`),
            ...(heat === undefined ? [] : [`The PC ${heat}`]),
          ],
        ]
      : []),
  ]
    .map((block) => block.filter((line) => line !== '').join('\n'))
    .join('\n\n')
}

/** Anything but works, and not looked at yet: a buyer is told. */
const isFault = (state: string) =>
  !state.startsWith('works') && state !== 'not looked at yet' && state !== 'not inspected yet'

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function speedOf({ name, averageFps, lowFps, isMeasured }: EditionTarget): string {
  const low = lowFps === null ? '' : `, 1 % low ${Math.round(lowFps)}`
  return `${name}: ${Math.round(averageFps!)} fps${low}${isMeasured ? ', measured' : ', estimated'}`
}
