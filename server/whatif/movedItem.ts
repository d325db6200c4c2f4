import type { Scope } from '#core/ledger/scopes'
import { convertAmount, rateTable } from '#core/money/rates'
import { marketOf } from '#server/context/marketReadings'
import type { BuildRow } from '#server/context/findBuild'
import type { RowEdit, World, WorldRows } from '#server/readings/world'

type ItemRow = ReturnType<WorldRows['items']['all']>[number]

/** A thing goes into a build; from another one it is handed over at what it is held at, frozen. */
export function movedItem(
  world: World,
  item: ItemRow,
  to: Pick<BuildRow, 'id' | 'currency'>,
  scope: Scope,
  { today, idOf }: { readonly today: string; idOf(change: number): string },
): RowEdit[] {
  const row = { ...item, place: 'build' as const, buildId: to.id, isBuiltIn: item.state !== 'dead', scope }
  const moved: RowEdit = { table: 'items', id: item.id, row }
  if (item.buildId === to.id) return [moved]
  const table = rateTable(marketOf(world).rates)
  const { currency, remaining } = item
  const inCurrency = (other: string) =>
    currency === other
      ? remaining
      : convertAmount(remaining, currency, other, table.rateOn(today, currency, other))
  const from = item.buildId === null ? undefined : world.rows.builds.one('id', item.buildId)
  const id = `move-${idOf(0)}-${item.id}`.slice(0, 120)
  const move: RowEdit = {
    table: 'moves',
    id,
    row: {
      id,
      itemId: item.id,
      day: today,
      fromBuildId: item.buildId,
      toBuildId: to.id,
      fromAmount: from ? inCurrency(from.currency) : remaining,
      toAmount: inCurrency(to.currency),
    },
  }
  return [move, moved]
}
