<script setup lang="ts">
import { partLabel } from '#core/parts/part'
import type { BuildView } from '#shared/builds/views'
import type { StepsView } from '#shared/machine/views'
import { amount, signedPercent } from '~/utils/show'
import { useCall } from '~/data/useCall'

/** A card for the next machine too: what it gains here and there, and whether waiting with it is better. */
const { view, steps } = defineProps<{ view: BuildView; steps: StepsView['roles'][number] }>()
const { data: library } = useCall('GET /api/library')
const cpus = computed(() => (library.value?.parts ?? []).filter((part) => part.role === 'cpu'))
const chosen = reactive({ partId: '', cpuId: '', months: 6 })
watch(
  () => steps.steps,
  (list) => {
    if (!list.some((step) => step.partId === chosen.partId)) chosen.partId = list[0]?.partId ?? ''
  },
  { immediate: true },
)
const { data: sheet } = useCall('GET /api/builds/:id/machine/carry', () =>
  chosen.partId && chosen.cpuId && chosen.months > 0 ? { id: view.id, ...chosen } : null,
)
</script>

<template>
  <section class="mt-4 border-l-4 border-info pl-3" aria-label="reuse in the next machine">
    <p class="flex flex-wrap items-center gap-2">
      The
      <select v-model="chosen.partId" class="field" aria-label="card to reuse">
        <option v-for="step in steps.steps" :key="step.id" :value="step.partId">{{ step.name }}</option>
      </select>
      moves in
      <input
        v-model.number="chosen.months"
        type="number"
        min="1"
        max="60"
        class="field figures w-16"
        aria-label="months until the move"
      />
      months to a PC with
      <select v-model="chosen.cpuId" class="field" aria-label="CPU of the next PC">
        <option value="">which CPU?</option>
        <option v-for="cpu in cpus" :key="cpu.id" :value="cpu.id">{{ partLabel(cpu) }}</option>
      </select>
    </p>
    <p v-if="sheet" class="mt-1" data-test="carry">
      {{ signedPercent(100 * sheet.framesNow) }} fps now, {{ signedPercent(100 * sheet.framesAfter) }} after
      the move. Cost: <b class="figures">{{ amount(sheet.price, view.currency) }}</b> today or about
      <b class="figures">{{ amount(sheet.priceThen, view.currency) }}</b> then<template
        v-if="sheet.percentPer30Days !== 0"
      >
        ({{ signedPercent(sheet.percentPer30Days) }} in 30 days)</template
      ><template v-else> (no trend)</template>. Buying now costs
      <b class="figures">{{ amount(sheet.costOfNow, view.currency) }}</b> more than waiting.
      <span class="tag" :class="sheet.better === 'now' ? 'tag-settled' : 'tag-waiting'">{{
        sheet.better === 'now' ? 'buy now' : 'wait'
      }}</span>
    </p>
    <table v-if="sheet && sheet.stairs.length > 1" class="ledger mt-2 max-w-[640px]" data-test="carry-stairs">
      <thead>
        <tr>
          <th>card, by price</th>
          <th class="text-right">cost</th>
          <th class="text-right">fps with today’s CPU</th>
          <th class="text-right">with {{ sheet.next }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="step in sheet.stairs" :key="step.partId" :class="step.isChosen ? 'font-semibold' : ''">
          <td>{{ step.name }}<template v-if="step.isChosen"> (chosen)</template></td>
          <td class="figures text-right">{{ amount(step.price, view.currency) }}</td>
          <td class="figures text-right">{{ signedPercent(100 * step.framesNow) }}</td>
          <td class="figures text-right">{{ signedPercent(100 * step.framesAfter) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
