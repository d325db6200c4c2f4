<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import type { Workload } from '#core/performance/model/workload'
import type { BriefInput } from '#shared/brief/schemas'
import { sizeFrom, sizeOptions, sizeText } from '~/utils/screenSizes'

type Target = BriefInput['targets'][number]

/** What the machine must reach: workloads at a resolution and preset, with the frame rates wanted. */
const { targets, workloads } = defineProps<{ targets: readonly Target[]; workloads: readonly Workload[] }>()
const emit = defineEmits<{ change: [targets: Target[]]; append: [target: Target]; remove: [index: number] }>()
const presetsOf = (id: string) => Object.keys(workloads.find((each) => each.id === id)?.presets ?? {})
const upscalingOf = (id: string) => Object.keys(workloads.find((each) => each.id === id)?.upscaling ?? {})
const change = (index: number, some: Partial<Target>) =>
  emit(
    'change',
    targets.map((target, at) => (at === index ? { ...target, ...some } : target)),
  )
function setWorkload(index: number, workloadId: string) {
  const presets = presetsOf(workloadId)
  const { preset, upscaling } = targets[index]!
  change(index, {
    workloadId,
    preset: presets.includes(preset) ? preset : (presets[0] ?? ''),
    upscaling: upscaling !== null && upscalingOf(workloadId).includes(upscaling) ? upscaling : null,
  })
}
function add() {
  const workload = workloads[0]!
  emit('append', {
    workloadId: workload.id,
    width: 1920,
    height: 1080,
    preset: presetsOf(workload.id)[0] ?? 'high',
    upscaling: null,
    frameGeneration: false,
    averageFps: 60,
    lowFps: 40,
  })
}
const chosen = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <section>
    <h2>Performance targets</h2>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>workload</th>
          <th>resolution</th>
          <th>preset</th>
          <th>upscaling</th>
          <th title="frames the card generates between rendered ones">frame generation</th>
          <th>average fps</th>
          <th>1 % low</th>
          <th><span class="sr-only">remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(target, index) in targets" :key="index">
          <td>
            <select
              :value="target.workloadId"
              class="field w-full"
              :aria-label="`workload of target ${index + 1}`"
              @change="setWorkload(index, chosen($event))"
            >
              <option v-for="each in workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
            </select>
          </td>
          <td>
            <select
              :value="sizeText(target)"
              class="field"
              :aria-label="`resolution of target ${index + 1}`"
              @change="change(index, sizeFrom(chosen($event)))"
            >
              <option v-for="[size, called] in sizeOptions(target)" :key="size" :value="size">
                {{ called }}
              </option>
            </select>
          </td>
          <td>
            <ChoiceField
              bare
              :name="`targets[${index}].preset`"
              :label="`preset of target ${index + 1}`"
              :options="presetsOf(target.workloadId)"
            />
          </td>
          <td>
            <select
              :value="target.upscaling ?? ''"
              class="field"
              :aria-label="`upscaling of target ${index + 1}`"
              @change="change(index, { upscaling: chosen($event) || null })"
            >
              <option value="">none</option>
              <option v-for="mode in upscalingOf(target.workloadId)" :key="mode" :value="mode">
                {{ mode }}
              </option>
            </select>
          </td>
          <td class="text-center">
            <input
              type="checkbox"
              :checked="target.frameGeneration"
              :aria-label="`count generated frames in target ${index + 1}`"
              @change="change(index, { frameGeneration: ($event.target as HTMLInputElement).checked })"
            />
          </td>
          <td>
            <NumberField
              bare
              :name="`targets[${index}].averageFps`"
              :label="`average of target ${index + 1}`"
              class="w-20"
            />
          </td>
          <td>
            <NumberField
              bare
              :name="`targets[${index}].lowFps`"
              :label="`low of target ${index + 1}`"
              class="w-20"
            />
          </td>
          <td class="w-8">
            <button
              type="button"
              class="p-1 text-soft"
              :aria-label="`remove target ${index + 1}`"
              @click="emit('remove', index)"
            >
              <X :size="14" />
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button
      v-if="workloads.length > 0"
      type="button"
      class="button mt-2 inline-flex items-center gap-1"
      @click="add"
    >
      <Plus :size="14" /> target
    </button>
    <p v-else class="mt-2 text-soft">
      No games yet: add one in Bench under Games and work, with one known frame rate.
    </p>
  </section>
</template>
