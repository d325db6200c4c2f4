import { roundHalfAway } from '../../../money/decimal'
import type { StepRule } from '../adjustment'

export const games: StepRule = {
  id: 'games',
  label: 'extra cost of games',
  amount: ({ gameSurcharge }, { years, gamesPerYear }) => {
    const count = gamesPerYear * years
    return gameSurcharge === 0 || count === 0
      ? null
      : {
          amount: roundHalfAway(gameSurcharge * count),
          why: `${count} games in ${years} years, each more expensive on it`,
          from: 'assumption',
        }
  },
}
