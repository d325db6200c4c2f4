<script setup lang="ts">
import { isTooCheap } from '#core/supply/risk/tooCheap'
import { faultSignNames, faultSigns, type FaultSign } from '#core/supply/risk/faultRisk'
import type { LeadView } from '#shared/leads/views'
import { faultWorking } from '~/workings/leadWorkings'
import { call } from '~/data/call'
import { amount, percent } from '~/utils/show'

/** Why a lead may turn out faulty: the table's figure, each factor on it, and what comes back. */
const { lead, currency } = defineProps<{ lead: LeadView; currency: string }>()
const build = useBuild()
const { run } = useAction()
const table = computed(() => build.view!.faults)
const shown = computed(() => new Map(lead.signs.map((each) => [each.sign, each])))
const tooCheap = computed(() => isTooCheap(lead.value.ask, lead.tooCheapBelow))
async function toggle(sign: FaultSign) {
  const seen = shown.value.get(sign)
  // a sign read from the text is denied; one of the builder's own is taken back
  const value = seen === undefined ? true : seen.by === 'builder' ? null : false
  const send = async (change: boolean | null) => {
    await call('PATCH /api/leads/:id', { id: lead.id }, { signs: { [sign]: change } })
  }
  await run(() => send(value), {
    message: `${faultSignNames[sign]}: ${seen ? 'removed' : 'noted'}`,
    undo: () => send(seen?.by === 'builder' ? true : null),
  })
}
</script>

<template>
  <section class="sheet p-3" aria-label="risk">
    <h2>Risk</h2>
    <p v-if="tooCheap" class="mt-1 border-l-4 border-stop bg-stop-ground px-3 py-1.5" data-test="too-cheap">
      Cheaper than 95 of 100 sales (<span class="figures">{{ amount(lead.tooCheapBelow, currency) }}</span
      >): suspicious. It may be faulty, a fake, or never delivered.
    </p>
    <p class="mt-1">
      Fault risk
      <TheFigure
        strong
        data-figure="fault-probability"
        :text="percent(lead.value.faultProbability, 1)"
        :working="() => faultWorking(lead, table)"
      />, {{ percent(lead.value.recoveredShare) }} recovered ({{
        lead.protection === 'none' ? 'no protection' : lead.protection
      }}).
    </p>
    <div class="mt-1 flex flex-wrap gap-x-3 gap-y-1">
      <label
        v-for="sign in faultSigns"
        :key="sign"
        class="inline-flex items-center gap-1"
        :title="shown.get(sign)?.quote ? `“${shown.get(sign)!.quote}”` : ''"
        ><input type="checkbox" :checked="shown.has(sign)" @change="toggle(sign)" />{{ faultSignNames[sign] }}
        <span class="figures text-xs text-soft">×{{ table.bySign[sign] }}</span></label
      >
    </div>
    <p class="mt-1 text-xs text-soft">Edit the fault table in Brief, under your rules.</p>
  </section>
</template>
