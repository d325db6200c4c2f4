import { partLabel } from '#core/parts/part'
import type { Ref } from 'vue'
import type { LeadView } from '#shared/leads/views'
import { call } from '~/data/call'

/** What the actions need of the page of leads. */
interface LeadsPage {
  /** the lead that is open; null where none is */
  readonly lead: Readonly<Ref<LeadView | null>>
  readonly shown: Readonly<Ref<readonly LeadView[]>>
  select(leadId: string): void
}

/**
 * What is done with the open lead by a key or a button: put into the build or removed, passed on, asked; the last is
 * undone by Z.
 */
export function useLeadActions(page: LeadsPage) {
  const build = useBuild()
  const { run, busy } = useAction()
  /** The last action and how to take it back, for Z. */
  let lastUndo: (() => Promise<unknown>) | null = null
  async function choose(keepBoth = false) {
    const chosen = page.lead.value
    // a second press while the first is on its way would do it twice
    if (!chosen || busy.value) return
    build.choosing = { leadId: chosen.id, isChosen: chosen.choiceId === null }
    try {
      await chooseOrRemove(chosen, keepBoth)
    } finally {
      build.choosing = null
    }
  }
  async function chooseOrRemove(chosen: LeadView, keepBoth: boolean) {
    if (chosen.choiceId) {
      const choiceId = chosen.choiceId
      lastUndo = () => build.putBack(choiceId, chosen.title)
      await run(() => build.takeOut(choiceId, chosen.title), {
        message: `${chosen.title} removed`,
        undo: lastUndo,
      })
    } else {
      let done = 0
      lastUndo = () => build.undo(done, chosen.title)
      const choose = () =>
        build.choose({ kind: 'lead', leadId: chosen.id, keepBoth }, chosen.title, (action) => (done = action))
      const before = build.view?.parts ?? []
      await run(choose, {
        get message() {
          const after = new Set(build.view?.parts.map(({ id }) => id))
          const gone = before.filter(({ id }) => !after.has(id)).map(partLabel)
          return `${chosen.title} put into the build${gone.length > 0 ? ` in place of ${gone.join(', ')}` : ''}`
        },
        undo: lastUndo,
      })
    }
  }
  async function pass() {
    const passed = page.lead.value
    if (!passed || busy.value) return
    const to = passed.state === 'open' ? 'passed' : 'open'
    const at = page.shown.value.findIndex((each) => each.id === passed.id)
    const next = page.shown.value[at + 1] ?? page.shown.value[at - 1]
    let done = 0
    lastUndo = async () => {
      // by its number, so that a choice it made void stands again
      await call('POST /api/ledger/actions/:id/undo', { id: String(done) })
      page.select(passed.id)
    }
    await run(
      async () => {
        const told = { onAction: (action: number) => (done = action) }
        const { today: day, id: buildId } = build.view!
        if (to === 'passed')
          await call('POST /api/leads/:id/pass', { id: passed.id }, { day, reason: '', buildId }, told)
        else await call('POST /api/leads/:id/reopen', { id: passed.id }, { day, buildId }, told)
        page.select(next?.id ?? '')
      },
      {
        message: to === 'passed' ? `passed on ${passed.title}` : `${passed.title} reopened`,
        undo: lastUndo,
      },
    )
  }
  async function ask() {
    const asked = page.lead.value
    if (!asked || busy.value) return
    const before = asked.askedOn
    const send = async (askedOn: string | null) => {
      await call('PATCH /api/leads/:id', { id: asked.id }, { askedOn })
    }
    lastUndo = () => send(before)
    await run(() => send(build.view!.today), { message: 'asked today', undo: lastUndo })
  }
  async function undo() {
    const action = lastUndo
    lastUndo = null
    if (action) await run(action)
  }

  return { choose, pass, ask, undo }
}
