<script setup lang="ts">
import { coreRoles } from '#core/parts/part'
import { useCall } from '~/data/useCall'

/** Machine: does it fit, start, stay cool and fed; what is missing; what is the next step up worth? */
const build = useBuild()
const view = computed(() => build.view!)
const { data } = useCall('GET /api/builds/:id/machine', () => ({ id: view.value.id }))
const machine = computed(() => data.value ?? null)
const mode = useRouteState('mode', 'open')
const selected = useRouteState('finding')
const adding = ref(false)
const rows = computed(() => [...view.value.choices].sort((a, b) => order(a.roles[0]) - order(b.roles[0])))
const order = (role: string | undefined) => (coreRoles as readonly string[]).indexOf(role ?? '') + 1 || 99
usePlace('machine', { N: () => (adding.value = true) })
function select(key: string) {
  selected.value = key
  mode.value = 'open'
  void nextTick(() =>
    document.querySelector(`[data-finding][class*="outline-2"]`)?.scrollIntoView({ block: 'nearest' }),
  )
}
</script>

<template>
  <div class="px-5 py-4">
    <PlaceTabs v-model="mode" place="machine">
      <button type="button" class="button ml-auto" @click="adding = true">
        Add a hunt or an owned part <span class="key">N</span>
      </button>
    </PlaceTabs>
    <div v-if="mode === 'open'" class="grid grid-cols-[minmax(0,1fr)_400px] gap-4 @max-4xl/place:grid-cols-1">
      <StillOpen :view="view" :machine="machine" :selected="selected" @select="selected = $event" />
      <PlanView
        v-if="machine && machine.plan.plates.length > 0"
        :plan="machine.plan"
        :selected="selected"
        @select="select"
      />
    </div>
    <StepStairs v-else-if="mode === 'steps'" :view="view" />
    <PowerAndRoom v-else-if="mode === 'power' && machine" :machine="machine" :view="view" />
    <AssemblySteps
      v-else-if="mode === 'assembly' && machine"
      :build-id="view.id"
      :steps="machine.assembly"
      :name="view.name"
      :assembled="machine.assembled"
    />
    <section v-else-if="mode === 'chosen'" aria-label="what is chosen">
      <p v-if="rows.length === 0" class="mt-1 text-soft">
        Nothing chosen yet. Add leads from Leads, hunt at street price from Prices, or add a part you own.
      </p>
      <table v-else class="ledger mt-1">
        <thead>
          <tr>
            <th>part</th>
            <th>scope</th>
            <th>why</th>
            <th class="!text-right">total</th>
            <th class="!text-right">market price</th>
            <th><span class="sr-only">actions</span></th>
          </tr>
        </thead>
        <tbody>
          <ChoiceRow v-for="choice in rows" :key="choice.id" :choice="choice" :view="view" />
        </tbody>
      </table>
      <p v-if="view.removedChoices.length > 0" class="mt-2 text-soft">
        Removed:
        <button
          v-for="each in view.removedChoices"
          :key="each.id"
          type="button"
          class="quiet-button mr-3"
          @click="build.putBack(each.id, each.label)"
        >
          restore {{ each.label }}
        </button>
      </p>
      <AdviceList :view="view" />
      <VariantsSheet class="mt-6" :build-id="view.id" />
    </section>
    <AddChoice v-if="adding" :view="view" @close="adding = false" />
  </div>
</template>
