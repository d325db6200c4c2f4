import { defineStore } from 'pinia'
import { toDecimal } from '#core/money/decimal'
import type { BuildView } from '#shared/builds/views'
import type { SentBody } from '#shared/calls'
import { stateTag } from '#shared/text/stateTag'
import { call } from '~/data/call'
import { refreshed } from '~/data/refreshAll'
import { useCall } from '~/data/useCall'

export interface LastChange {
  readonly difference: number
  readonly label: string
}

/** The build on the counter: what the server calculated of it, and the actions that change it. */
export const useBuild = defineStore('build', () => {
  const shownId = ref<string | null>(null)
  const asked = useCall(
    'GET /api/builds/:id',
    () => (shownId.value === null ? null : { id: shownId.value }),
    { showsFailure: true },
  )
  /** Of the build that is shown and of no other; null until it is there. */
  const view = computed<BuildView | null>(() => asked.data.value ?? null)

  const lastChange = shallowRef<LastChange | null>(null)
  let label = ''
  /** How the next change of the receipt is called. */
  const named = (next: string) => (label = next)
  watch(
    view,
    (next, before) => {
      const [total, was] = [next?.receipt.totals.payNow ?? null, before?.receipt.totals.payNow ?? null]
      // another build, or the same in another currency: there is no difference to be told
      if (next === null || next.id !== before?.id || next.currency !== before.currency)
        lastChange.value = null
      else if (total !== null && was !== null && total !== was)
        lastChange.value = { difference: total - was, label }
      label = ''
    },
    { flush: 'sync' },
  )

  const onTheWay = ref(0)
  /** A change of the receipt: until what it moved is shown the figures are those of before. */
  async function change<T>(what: string, send: () => Promise<T>): Promise<T> {
    named(what)
    onTheWay.value += 1
    try {
      const answer = await send()
      await refreshed()
      return answer
    } finally {
      onTheWay.value -= 1
    }
  }
  /** The lead that is being put into the build or taken out of it. */
  const choosing = shallowRef<{ readonly leadId: string; readonly isChosen: boolean } | null>(null)

  return {
    view,
    asked,
    lastChange,
    isCalculating: computed(() => onTheWay.value > 0),
    choosing,
    named,
    /** Puts a build on the counter. */
    open: (id: string) => (shownId.value = id),
    /** Clears the counter, unless another build lies on it already. */
    close(id: string) {
      if (shownId.value === id) shownId.value = null
    },
    /** @param onAction is told the action that one undo takes back, with what it took the place of */
    choose(
      body: SentBody<'POST /api/builds/:id/machine/choices'>,
      what: string,
      onAction?: (action: number) => void,
    ) {
      const told = onAction ? { onAction } : {}
      return change(what, () =>
        call('POST /api/builds/:id/machine/choices', { id: view.value!.id }, body, told),
      )
    },
    undo(action: number, what: string) {
      return change(what, () => call('POST /api/ledger/actions/:id/undo', { id: String(action) }))
    },
    /** Pays one choice by itself, at what it costs now. */
    pay(id: string, cost: number, what: string) {
      const { today, currency } = view.value!
      return change(what, () =>
        call('POST /api/ledger/choices/:id/pay', { id }, { day: today, amount: toDecimal(cost, currency) }),
      )
    },
    changeChoice(id: string, patch: SentBody<'PATCH /api/machine/choices/:id'>, what: string) {
      return change(what, () => call('PATCH /api/machine/choices/:id', { id, in: view.value!.id }, patch))
    },
    takeOut(id: string, what: string) {
      return change(what, () => call('DELETE /api/machine/choices/:id', { id, in: view.value!.id }))
    },
    putBack(id: string, what: string) {
      return change(what, () => call('POST /api/machine/choices/:id/restore', { id, in: view.value!.id }))
    },
    setRivals: (rivals: readonly string[], was: readonly string[]) =>
      call(
        'PUT /api/builds/:id/scales/rivals',
        { id: view.value!.id },
        { rivals: [...rivals] },
        { was: stateTag(was.toSorted()) },
      ),
  }
})
