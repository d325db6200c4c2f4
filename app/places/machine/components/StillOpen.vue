<script setup lang="ts">
import { severityNames } from '#core/machine/fit/finding'
import type { FixRow } from '#core/machine/fit/fixes'
import { roleNames } from '#core/parts/part'
import type { BuildView } from '#shared/builds/views'
import type { FindingView, MachineView } from '#shared/machine/views'
import { call } from '~/data/call'
import { amount, signedAmount } from '~/utils/show'

/**
 * What is still open, by money at risk: findings with the ways that fix them, house rules, empty roles with
 * candidates, what cannot be checked.
 */
const { view, machine, selected } = defineProps<{
  view: BuildView
  machine: MachineView | null
  selected: string
}>()
const emit = defineEmits<{ select: [key: string] }>()
const build = useBuild()
const { run } = useAction()
const tone = { stops: 'tag-stop', needs: 'tag-waiting', costs: 'tag-waiting', hints: 'tag-info' } as const
const edge = {
  stops: '!border-l-stop',
  needs: '!border-l-waiting',
  costs: '!border-l-waiting',
  hints: '!border-l-info',
} as const
const order = ['stops', 'needs', 'costs', 'hints'] as const
/** Null where nobody knows what it may cost: it then stands by how grave it is. */
const risk = (finding: FindingView) => machine?.atRisk[finding.key] ?? null
const findings = computed(() =>
  [...view.fit.findings].sort(
    (a, b) => (risk(b) ?? 0) - (risk(a) ?? 0) || order.indexOf(a.severity) - order.indexOf(b.severity),
  ),
)
const nothing = computed(
  () =>
    view.fit.findings.length + view.fit.cannotCheck.length + view.emptyRoles.length + view.breaches.length ===
    0,
)
const named = (way: FixRow) =>
  way.parts.length > 0 ? way.parts.map((part) => part.name).join(' + ') : way.what
const shownUnknown = ref(false)
async function take(key: string, way: number, what: string) {
  let done = 0
  await run(
    async () => {
      build.named(what)
      const told = { onAction: (action: number) => (done = action) }
      await call('POST /api/builds/:id/machine/fix', { id: view.id }, { key, way }, told)
    },
    { message: `fixed: ${what}`, undo: () => build.undo(done, what) },
  )
}
async function unsettle(key: string) {
  await run(() => call('POST /api/builds/:id/machine/unsettle', { id: view.id }, { key }), {
    message: 'reopened',
  })
}
/** Takes a candidate by the way it is shown at: a lead as that lead, a thing of mine as that thing. */
async function choose(way: string, name: string) {
  let done = 0
  const told = { onAction: (action: number) => (done = action) }
  await run(
    async () => {
      build.named(name)
      await call('POST /api/builds/:id/machine/swap', { id: view.id }, { way, out: null }, told)
    },
    { message: `${name} chosen`, undo: () => build.undo(done, name) },
  )
}
</script>

<template>
  <section aria-label="open checks">
    <p v-if="nothing" class="text-settled">✓ Nothing open: {{ view.fit.passed.length }} checks passed.</p>
    <article
      v-for="finding in findings"
      :key="finding.key"
      class="sheet mb-3 border-l-4 p-3"
      :class="[edge[finding.severity], { 'outline-2 outline-info': finding.key === selected }]"
      :data-finding="finding.ruleId"
      @click="emit('select', finding.key)"
    >
      <p class="flex items-start gap-2">
        <span class="tag shrink-0" :class="tone[finding.severity]">{{
          severityNames[finding.severity]
        }}</span><b class="min-w-0 flex-1">{{ finding.what }}</b
        ><span v-if="risk(finding) !== 0" class="figures shrink-0 text-soft" title="money at risk">{{
          amount(risk(finding), view.currency)
        }}</span>
      </p>
      <p class="mt-1 text-xs text-soft">
        <template v-for="(fact, index) in finding.why" :key="fact.partId + fact.fact"
          ><template v-if="index > 0"> vs </template>{{ fact.part }}: {{ fact.fact }}
          <b class="figures text-ink">{{ fact.value }}</b></template
        >
      </p>
      <table v-if="machine && (machine.ways[finding.key] ?? []).length > 0" class="ledger mt-1">
        <tbody>
          <tr v-for="way in machine.ways[finding.key]" :key="way.way">
            <td>
              {{ named(way)
              }}<span class="block text-xs text-soft">{{
                [
                  way.parts.length > 0 ? way.what : '',
                  way.parts.flatMap((part) => part.how ?? []).join(' + '),
                  way.handiwork && way.handiwork !== 'none' ? `manual work: ${way.handiwork}` : '',
                  way.limitW ? `limits power to ${way.limitW} W` : '',
                  way.leavesOpen ? `still open: ${way.leavesOpen}` : '',
                  way.refused ?? '',
                ]
                  .filter((each) => each !== '')
                  .join(' · ')
              }}</span>
            </td>
            <td class="amount">
              {{
                way.kind === 'by-hand'
                  ? '—'
                  : way.cost === null
                    ? way.refused
                      ? '—'
                      : 'no price'
                    : signedAmount(way.cost, view.currency)
              }}
            </td>
            <td class="w-20 text-right">
              <button
                v-if="way.changes.length > 0 && way.refused === null"
                type="button"
                class="button !py-0.5"
                :aria-label="`apply fix: ${named(way)}`"
                @click.stop="take(finding.key, way.way, named(way))"
              >
                {{ way.kind === 'by-hand' ? 'done' : 'apply' }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="machine" class="mt-1 text-waiting">
        No part in the library fixes this without causing another problem.
      </p>
    </article>
    <article v-for="breach in view.breaches" :key="breach" class="sheet mb-3 border-l-4 !border-l-stop p-3">
      <span class="tag tag-stop">rule</span> {{ breach }}
    </article>
    <article v-for="role in view.emptyRoles" :key="role" class="sheet mb-3 p-3">
      <p>
        <span class="tag tag-waiting">missing</span> <b>no {{ roleNames[role] }} yet</b>
        <NuxtLink
          :to="`/b/${view.id}/leads?role=${role}`"
          class="ml-2 underline decoration-dotted underline-offset-2"
          >leads →</NuxtLink
        >
      </p>
      <p
        v-for="option in machine?.candidates.find((each) => each.role === role)?.options"
        :key="option.partId"
        class="mt-1 flex items-center gap-2"
      >
        <span class="min-w-0 flex-1"
          >{{ option.name }} <span class="text-xs text-soft">{{ option.how }}</span></span
        ><span class="figures">{{ amount(option.price, view.currency) }}</span
        ><button type="button" class="button !py-0.5" @click="choose(option.way, option.name)">choose</button>
      </p>
    </article>
    <div v-if="view.fit.cannotCheck.length > 0" class="mb-3">
      <button
        type="button"
        class="quiet-button"
        :aria-expanded="shownUnknown"
        @click="shownUnknown = !shownUnknown"
      >
        {{ view.fit.cannotCheck.length }}
        {{ view.fit.cannotCheck.length === 1 ? 'check needs a fact' : 'checks need a fact' }}
      </button>
      <p v-for="open in shownUnknown ? view.fit.cannotCheck : []" :key="open.ruleId" class="mt-1">
        <span class="tag tag-waiting">not known</span> {{ open.what }}
      </p>
    </div>
    <p v-for="finding in view.fit.settled" :key="finding.key" class="mb-1 text-soft">
      <span class="tag tag-settled">manual work</span> {{ finding.what }}
      <button type="button" class="quiet-button" @click="unsettle(finding.key)">mark as not done</button>
    </p>
    <details v-if="view.fit.passed.length > 0" class="text-soft">
      <summary class="cursor-pointer">✓ {{ view.fit.passed.length }} checks passed</summary>
      <p v-for="rule in view.fit.passed" :key="rule.ruleId" class="mt-0.5">
        <span class="text-settled">✓</span> {{ rule.question }}
      </p>
    </details>
  </section>
</template>
