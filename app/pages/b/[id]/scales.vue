<script setup lang="ts">
import { changedSettings, type SettingsChange } from '~/places/scales/state/settings'
import { stateTag } from '#shared/text/stateTag'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Scales: is it better than buying a machine ready made? */
const build = useBuild()
const { run } = useAction()
const view = computed(() => build.view!)
const { data: library } = useCall('GET /api/library')
usePlace('scales')
const mode = useRouteState('mode', 'weighing')
const focus = useRouteState('against')
const others = computed(() => view.value.weighing.others)
const chosen = computed(() => others.value.map((other) => other.machine.id))
const against = computed(
  () => others.value.find((other) => other.machine.id === focus.value) ?? others.value[0] ?? null,
)
const machines = computed(() => [view.value.weighing.own, ...others.value])
const most = 3
const session = useSession()
const otherBuilds = computed(() => (session.view?.builds ?? []).filter((each) => each.id !== view.value.id))
const weighedBuilds = computed(() => view.value.weighing.settings.builds)
const rivalIds = computed(() =>
  others.value.filter((other) => other.machine.kind !== 'build').map((other) => other.machine.id),
)
/** Three others at most: rivals of the library and builds together. */
/** What is wanted while it is on its way: a second press begins with it, not with what the page still shows. */
let wanted: readonly string[] | null = null
async function toggle(id: string) {
  const room = Math.max(1, most - weighedBuilds.value.length)
  const now = wanted ?? rivalIds.value
  const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id].slice(-room)
  wanted = next
  await run(() => build.setRivals(next, now))
  if (wanted === next) wanted = null
}
function toggleBuild(id: string) {
  const room = Math.max(1, most - rivalIds.value.length)
  return save({
    builds: weighedBuilds.value.includes(id)
      ? weighedBuilds.value.filter((each) => each !== id)
      : [...weighedBuilds.value, id].slice(-room),
  })
}
const save = (change: SettingsChange, edit?: { machine: string; step: string; amount: string | null }) =>
  run(() => {
    const { id, currency, weighing } = view.value
    const next = changedSettings(weighing.settings, currency, change, edit)
    return call('PUT /api/builds/:id/scales/settings', { id }, next, { was: stateTag(weighing.settings) })
  })
</script>

<template>
  <div class="px-5 py-4">
    <PlaceTabs v-model="mode" place="scales">
      <label v-if="others.length > 1 && mode !== 'editions'" class="ml-auto text-[13px]"
        >compare with
        <select
          class="field !min-h-0 !py-0.5"
          :value="against?.machine.id"
          aria-label="machine to compare with"
          @change="focus = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="other in others" :key="other.machine.id" :value="other.machine.id">
            {{ other.machine.name }}
          </option>
        </select></label
      >
    </PlaceTabs>
    <EditionsLeaf v-if="mode === 'editions'" :view="view" class="mt-3" />
    <template v-else>
      <p class="mt-2 flex flex-wrap items-center gap-2">
        <span class="text-soft">vs</span
        ><button
          v-for="rival in library?.rivals"
          :key="rival.id"
          type="button"
          class="rounded border px-2 py-0.5 text-xs"
          :class="chosen.includes(rival.id) ? 'border-ink bg-ink text-paper' : 'border-line text-soft'"
          :aria-pressed="chosen.includes(rival.id)"
          @click="toggle(rival.id)"
        >
          {{ rival.name }}</button
        ><button
          v-for="other in otherBuilds"
          :key="other.id"
          type="button"
          class="rounded border border-dashed px-2 py-0.5 text-xs"
          :class="chosen.includes(other.id) ? 'border-ink bg-ink text-paper' : 'border-soft text-soft'"
          :aria-pressed="chosen.includes(other.id)"
          title="another of your builds"
          @click="toggleBuild(other.id)"
        >
          {{ other.name }}</button
        ><NuxtLink to="/rivals" class="quiet-button text-xs">add a rival…</NuxtLink>
      </p>
      <p v-if="!against" class="mt-3 text-soft">Choose up to three machines above.</p>
      <template v-else-if="mode === 'weighing'">
        <WeighingControls :view="view" class="mt-2" @change="save" />
        <VerdictLines :view="view" :against="against" class="mt-2" />
        <div class="mt-3 grid grid-cols-[minmax(0,11fr)_minmax(0,9fr)] gap-3 @max-4xl/place:grid-cols-1">
          <div class="flex min-w-0 flex-col gap-3">
            <CostWaterfall
              :view="view"
              :machines="machines"
              :against="against"
              @change="save"
              @edit="(machine, step, amount) => save({}, { machine, step, amount })"
            /><PartByPart :view="view" :against="against" />
          </div>
          <div class="flex min-w-0 flex-col gap-3">
            <RateDumbbells :view="view" :machines="machines" /><FixedModes :view="view" :against="against" />
          </div>
        </div>
      </template>
      <MatchAndSpend v-else-if="mode === 'match'" :view="view" :against="against" class="mt-3" />
      <TurningPoints v-else :key="against.machine.id" :view="view" :against="against" class="mt-3" />
    </template>
  </div>
</template>
