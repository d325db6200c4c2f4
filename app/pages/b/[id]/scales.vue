<script setup lang="ts">
import type { LibraryView } from '#shared/views'
import { request } from '~/utils/request'

/** Scales: is it better than buying a machine ready made? */
const build = useBuild()
const { run } = useDeed()
const view = computed(() => build.view!)
const library = ref<LibraryView | null>(null)
onMounted(() => run(async () => (library.value = await request<LibraryView>('/api/library'))))
const chosen = computed(() => view.value.weighing.others.map((other) => other.machine.id))
const machines = computed(() => [view.value.weighing.own, ...view.value.weighing.others])
function toggle(id: string) {
  const next = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id].slice(-3)
  return run(() => build.setRivals(next))
}
</script>

<template>
  <div class="px-5 py-4">
    <h1>{{ view.name }}<template v-if="view.weighing.others.length > 0">, weighed against {{ view.weighing.others.length }} others</template></h1>
    <p class="mt-1 flex flex-wrap gap-2"><button v-for="rival in library?.rivals" :key="rival.id" type="button" class="rounded border px-2 py-0.5 text-xs" :class="chosen.includes(rival.id) ? 'border-ink bg-ink text-paper' : 'border-line text-soft'" :aria-pressed="chosen.includes(rival.id)" @click="toggle(rival.id)">{{ rival.name }}</button><NuxtLink to="/rivals" class="quiet-button text-xs">add a rival…</NuxtLink></p>
    <div v-if="view.weighing.others.length > 0" class="mt-3 space-y-1.5 border-l-4 border-settled pl-4 text-[15px] leading-relaxed">
      <p v-for="other in view.weighing.others" :key="other.machine.id" :data-verdict="other.machine.id">{{ other.verdict!.sentence }} <span v-if="other.verdict!.unknown" class="text-waiting">Not known: {{ other.verdict!.unknown }}.</span></p>
    </div>
    <p v-else class="mt-3 text-soft">Choose up to three rivals above.</p>
    <div class="mt-4 grid grid-cols-2 gap-3 max-lg:grid-cols-1"><CostWaterfall :machines="machines" :currency="view.currency" :unknown-street="view.receipt.totals.unknownStreet" /><RateDumbbells :view="view" :machines="machines" /></div>
  </div>
</template>
