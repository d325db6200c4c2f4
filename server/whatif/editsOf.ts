import { CoreError } from '#core/errors/coreError'
import { assertItemCan } from '#core/ledger/itemLife'
import { partLabel } from '#core/parts/part'
import { singleRoles, type Change } from '#core/whatif/change'
import { choicesOf } from '#server/context/choicesOf'
import { buildRow, rootIdOf, type BuildRow } from '#server/context/findBuild'
import { marketOf, part } from '#server/context/marketReadings'
import { builtIn, huntPrice } from '#server/context/readChoice'
import { NotFoundError } from '#server/errors/notFoundError'
import type { RowEdit, World } from '#server/readings/world'
import { movedItem } from './movedItem'
import { leadEdits, termsEdits } from './termsEdits'

type ChoiceRow = ReturnType<typeof choicesOf>[number]
type Choosing = Extract<Change, { kind: 'choose' }>

interface How {
  readonly today: string
  /** This moment, as it is kept beside what was removed. */
  readonly now: string
  /** Whether a part comes in of which no price is known: out of a file, where it stood so. */
  readonly takesUnpriced?: boolean
  /** The id of what the change of that number makes. */
  idOf(change: number): string
}

/**
 * Which rows of which tables changes of a build are, in their order. The same for who writes them and for who only asks
 * what they would come to; nothing is written here.
 *
 * @throws CoreError where one of them is not possible
 */
export function editsOf(world: World, buildId: string, changes: readonly Change[], how: How): RowEdit[] {
  const edits = new Map<string, RowEdit>()
  let now = world
  /** A choice that a variant came with, by what became its own: later changes mean that. */
  const copies = new Map<string, string>()
  for (const [index, change] of changes.entries()) {
    const build = buildRow(now, buildId)
    const done = editsOfOne(now, build, ofCopy(change, copies), index, how)
    for (const edit of done) {
      edits.set(`${edit.table} ${edit.id}`, edit)
      const from = copiedFrom(now, build, edit)
      if (from !== undefined) copies.set(from, edit.id)
    }
    now = now.with(done)
  }
  return [...edits.values()]
}

function ofCopy(change: Change, copies: ReadonlyMap<string, string>): Change {
  if ('line' in change) return { ...change, line: copies.get(change.line) ?? change.line }
  if ('choice' in change) return { ...change, choice: copies.get(change.choice) ?? change.choice }
  return change
}

/** The inherited choice of the same thing that a new one stands for. */
function copiedFrom(now: World, build: BuildRow, { table, row }: RowEdit): string | undefined {
  if (table !== 'choices' || !row) return undefined
  const made = row as ChoiceRow
  return choicesOf(now, build).find(
    ({ id, buildId, kind, leadId, partId, itemId }) =>
      buildId !== build.id &&
      id !== made.id &&
      kind === made.kind &&
      leadId === made.leadId &&
      partId === made.partId &&
      itemId === made.itemId,
  )?.id
}

function editsOfOne(world: World, build: BuildRow, change: Change, index: number, how: How): RowEdit[] {
  const present = (id: string) => (id.startsWith('new:') ? how.idOf(Number(id.slice(4))) : id)
  switch (change.kind) {
    case 'choose':
      return chosen(world, build, change, how.idOf(index), how)
    case 'remove':
      return removed(world, build, present(change.choice), how)
    case 'leave-out':
      return leftOut(world, build, present(change.line), change.part, how.idOf(index), how)
    case 'bring-in':
      return broughtIn(world, build, present(change.line), change.part, how.idOf(index))
    case 'sell':
      return sold(world, build, change.item)
    case 'limit':
      return limited(world, build, present(change.choice), change.limit, how.idOf(index))
    case 'group':
      return grouped(world, build, present(change.choice), change.order, how.idOf(index))
    case 'settle':
      return ofBuild(build, { settled: [...new Set([...build.settled, change.finding])] })
    case 'price':
    case 'answer':
    case 'trip':
    case 'trade-in':
      return leadEdits(world, build, change, { today: how.today, id: how.idOf(index) })
    case 'brief':
    case 'fact':
    case 'weigh':
      return termsEdits(world, build, change, { today: how.today, id: how.idOf(index) })
  }
}

function chosen(world: World, build: BuildRow, change: Choosing, id: string, how: How): RowEdit[] {
  if (build.state === 'sold' || build.state === 'apart')
    throw new CoreError('over-for-choosing', { name: build.name, state: build.state }, 'kind')
  const parts = partsChosen(world, build, change, how)
  const place = [
    ...(change.keepBoth ? [] : takenPlace(world, build, change, parts, how)),
    ...wantedAgain(world, build, change.lead),
  ]
  const after = world.with(place)
  const scope = change.scope ?? 'core'
  if (change.item !== undefined && build.variantOf === null)
    return [...place, ...movedItem(after, itemOf(world, change.item), build, scope, how)]
  const rows = after.rows.choices.where('buildId', build.id)
  const row: ChoiceRow = {
    id,
    buildId: build.id,
    position: Math.max(-1, ...rows.map(({ position }) => position)) + 1,
    kind: change.lead !== undefined ? 'lead' : change.hunt ? 'hunt' : 'item',
    leadId: change.lead ?? null,
    partId: change.hunt?.part ?? null,
    itemId: change.item ?? null,
    limit: change.hunt?.limit ?? null,
    condition: change.hunt?.condition ?? null,
    orderGroup: null,
    voidBecause: null,
    voidOn: null,
    lineId: null,
    scope,
    reason: change.reason ?? '',
    leftOut: [],
    deletedAt: null,
  }
  return [...place, { table: 'choices', id, row }]
}

/** What is chosen is passed on no more. */
function wantedAgain(world: World, build: BuildRow, lead: string | undefined): RowEdit[] {
  const root = buildRow(world, rootIdOf(world, build))
  if (lead === undefined || !(lead in root.passed)) return []
  const { [lead]: _, ...passed } = root.passed
  return ofBuild(root, { passed })
}

/** The parts that come in; refused where they are not there, are chosen already, or nobody knows what they cost. */
function partsChosen(
  world: World,
  build: BuildRow,
  { lead, hunt, item }: Choosing,
  { today, takesUnpriced }: How,
): string[] {
  if (lead !== undefined) {
    const row = world.rows.leads.one('id', lead)
    if (!row || row.deletedAt !== null || row.state !== 'open')
      throw new CoreError('choice-gone', { id: lead }, 'leadId')
    const kept = keptOf(world, lead)
    if (kept.length === 0) throw new CoreError('nothing-kept', {}, 'leadId')
    if (standing(world, build).some(({ leadId }) => leadId === lead))
      throw new CoreError('already-chosen', {}, 'leadId')
    return kept
  }
  if (hunt) {
    const wanted = part(world, hunt.part)
    if (!wanted) throw new CoreError('choice-gone', { id: hunt.part }, 'partId')
    const price = hunt.limit ?? huntPrice(marketOf(world), build, wanted, today, hunt.condition ?? null)
    // a part of which no price is known comes in only with a figure of the builder's: it never costs nothing
    if (price === null && !takesUnpriced)
      throw new CoreError('no-price', { part: partLabel(wanted) }, 'limit')
    return [hunt.part]
  }
  const row = world.rows.items.one('id', item)
  if (!row) throw new CoreError('choice-gone', { id: item }, 'shelfId')
  const name = partLabel(part(world, row.partId)!)
  if (build.variantOf !== null) {
    if (standing(world, build).some(({ itemId }) => itemId === item))
      throw new CoreError('already-chosen', {}, 'shelfId')
    return [row.partId]
  }
  if (row.place === 'build' && row.buildId === build.id) throw new CoreError('already-chosen', {}, 'shelfId')
  if (row.place === 'build') throw new CoreError('in-another-build', { name }, 'shelfId')
  assertItemCan('move', row, name, 'shelfId')
  return [row.partId]
}

/**
 * What leaves for what comes in: of a role with room for one all that is chosen and not paid, and the hunt for the very
 * part. What is paid or lies there stays: taking it out is asked for by name.
 */
function takenPlace(
  world: World,
  build: BuildRow,
  { lead, scope = 'core' }: Choosing,
  came: readonly string[],
  how: How,
): RowEdit[] {
  const roleOf = (id: string) => part(world, id)!.role
  const roles = new Set(came.map(roleOf).filter((role) => (singleRoles as readonly string[]).includes(role)))
  const changes = standing(world, build)
    .filter((row) => row.scope === scope && scope !== 'test')
    .flatMap((row): Change[] => {
      const parts = builtInOf(world, row)
      const isHuntOfIt = lead !== undefined && row.kind === 'hunt' && came.includes(row.partId!)
      const gone = parts.filter((id) => isHuntOfIt || roles.has(roleOf(id) as never))
      if (gone.length === 0) return []
      if (gone.length === parts.length) return [{ kind: 'remove', choice: row.id }]
      return gone.map((id): Change => ({ kind: 'leave-out', line: row.id, part: id }))
    })
  return editsOf(world, build.id, changes, { ...how, idOf: (index) => `${how.idOf(0)}-${index}` })
}

function removed(world: World, build: BuildRow, id: string, { now }: How): RowEdit[] {
  if (world.rows.items.one('id', id)) return shelved(world, build, id, {})
  const row = choiceOf(world, build, id)
  if (row.buildId !== build.id) return ofBuild(build, { dropped: [...build.dropped, id] })
  return [{ table: 'choices', id, row: { ...row, deletedAt: now } }]
}

/** A thing of mine lies on the shelf; a variant, which holds none, does without it. */
function shelved(world: World, build: BuildRow, id: string, more: { plan?: 'resell' }): RowEdit[] {
  const row = itemOf(world, id)
  if (row.buildId !== rootIdOf(world, build)) throw new NotFoundError('item', id)
  if (build.variantOf !== null) return ofBuild(build, { dropped: [...new Set([...build.dropped, id])] })
  assertItemCan('move', row, partLabel(part(world, row.partId)!), 'choice')
  return [{ table: 'items', id, row: { ...row, place: 'shelf', isBuiltIn: false, ...more } }]
}

function sold(world: World, build: BuildRow, id: string): RowEdit[] {
  const row = world.rows.items.one('id', id)
  if (!row || row.place !== 'build') throw new CoreError('no-thing', { id }, 'sold')
  return shelved(world, build, id, { plan: 'resell' })
}

function leftOut(
  world: World,
  build: BuildRow,
  id: string,
  partId: string,
  newId: string,
  how: How,
): RowEdit[] {
  const item = world.rows.items.one('id', id)
  if (item) {
    if (build.variantOf !== null) return shelved(world, build, id, {})
    if (item.buildId !== build.id) throw new NotFoundError('item', id)
    return [{ table: 'items', id, row: { ...item, leftOut: [...item.leftOut, partId] } }]
  }
  const row = choiceOf(world, build, id)
  const inside = builtInOf(world, row)
  if (inside.length === 0 || (inside.length === 1 && inside[0] === partId))
    return removed(world, build, id, how)
  return changed(build, row, { leftOut: [...row.leftOut, partId] }, newId)
}

/** All of its kind that stayed out. */
function broughtIn(world: World, build: BuildRow, id: string, partId: string, newId: string): RowEdit[] {
  const row = choiceOf(world, build, id)
  if (!row.leftOut.includes(partId)) throw new NotFoundError('part', partId)
  return changed(build, row, { leftOut: row.leftOut.filter((each) => each !== partId) }, newId)
}

function limited(world: World, build: BuildRow, id: string, limit: number | null, newId: string): RowEdit[] {
  const row = choiceOf(world, build, id)
  if (row.kind !== 'hunt') throw new NotFoundError('choice', id)
  return changed(build, row, { limit }, newId)
}

function grouped(world: World, build: BuildRow, id: string, order: string | null, newId: string): RowEdit[] {
  const row = choiceOf(world, build, id)
  if (row.kind !== 'lead') throw new NotFoundError('choice', id)
  return changed(build, row, { orderGroup: order }, newId)
}

/** A choice that a variant came with becomes its own where it differs; the build's stays as it is. */
function changed(build: BuildRow, row: ChoiceRow, change: Partial<ChoiceRow>, newId: string): RowEdit[] {
  if (row.buildId === build.id) return [{ table: 'choices', id: row.id, row: { ...row, ...change } }]
  return [
    { table: 'choices', id: newId, row: { ...row, ...change, id: newId, buildId: build.id } },
    ...ofBuild(build, { dropped: [...build.dropped, row.id] }),
  ]
}

const ofBuild = (build: BuildRow, change: Partial<BuildRow>): RowEdit[] => [
  { table: 'builds', id: build.id, row: { ...build, ...change } },
]

/** What is chosen and stands. */
const standing = (world: World, build: BuildRow) =>
  choicesOf(world, build).filter(({ voidBecause }) => voidBecause === null)

function choiceOf(world: World, build: BuildRow, id: string): ChoiceRow {
  const row = choicesOf(world, build).find((each) => each.id === id)
  if (!row) throw new NotFoundError('choice', id)
  return row
}

function itemOf(world: World, id: string) {
  const row = world.rows.items.one('id', id)
  if (!row) throw new NotFoundError('item', id)
  return row
}

const keptOf = (world: World, leadId: string) =>
  world.rows.leadThings
    .where('leadId', leadId)
    .filter(({ plan }) => plan === 'keep')
    .flatMap(({ partId, quantity }) => Array.from({ length: quantity }, () => partId))

/** The parts of a choice that go into the machine, by their ids. */
function builtInOf(world: World, row: ChoiceRow): string[] {
  const ids =
    row.kind === 'lead'
      ? keptOf(world, row.leadId!)
      : [row.partId ?? world.rows.items.one('id', row.itemId!)!.partId]
  return builtIn(
    ids.map((id) => part(world, id)!),
    row.leftOut,
  ).map(({ id }) => id)
}
