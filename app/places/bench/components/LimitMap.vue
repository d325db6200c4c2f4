<script setup lang="ts">
import { limitMap } from '#core/performance/model/limitMap'
import type { BenchView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'

/**
 * Resolution against preset for this machine and one workload: a letter for what limits, a ground for the target;
 * handles for what a stronger part would do.
 */
const { view, bench } = defineProps<{ view: BuildView; bench: BenchView }>()
const workloadId = useRouteState('map', view.targets[0]?.workloadId ?? view.workloads[0]?.id ?? '')
const upscaling = useRouteState('upscaling')
const workload = computed(
  () => view.workloads.find((each) => each.id === workloadId.value) ?? view.workloads[0],
)
const target = computed(() => view.targets.find((each) => each.workloadId === workload.value?.id) ?? null)
const card = ref(bench.machine?.graphicsIndex ?? 100)
const cpu = ref(bench.machine?.cpuIndex ?? 100)
const asItIs = computed(
  () => card.value === bench.machine?.graphicsIndex && cpu.value === bench.machine.cpuIndex,
)
const rows = computed(() =>
  workload.value && bench.machine
    ? limitMap(
        workload.value,
        { ...bench.machine, graphicsIndex: card.value, cpuIndex: cpu.value },
        target.value,
        workload.value.upscaling[upscaling.value] === undefined ? undefined : upscaling.value,
      )
    : [],
)
const letters = {
  graphics: ['G', 'GPU limited'],
  cpu: ['C', 'CPU limited'],
  balanced: ['B', 'balanced'],
} as const
const tone = { met: 'tag-settled', narrow: 'tag-waiting', missed: 'tag-stop' } as const
const isTarget = (cell: { width: number; height: number; preset: string }) =>
  cell.width === target.value?.width &&
  cell.height === target.value.height &&
  cell.preset === target.value.preset
function back() {
  card.value = bench.machine!.graphicsIndex
  cpu.value = bench.machine!.cpuIndex
}
</script>

<template>
  <section class="sheet p-4" aria-label="bottleneck map">
    <div class="flex flex-wrap items-center gap-3">
      <h2>Bottleneck map</h2>
      <select v-model="workloadId" class="field" aria-label="workload">
        <option v-for="each in view.workloads" :key="each.id" :value="each.id">{{ each.name }}</option>
      </select>
      <select v-model="upscaling" class="field" aria-label="upscaling">
        <option value="">no upscaling</option>
        <option v-for="name in Object.keys(workload?.upscaling ?? {})" :key="name" :value="name">
          upscaling: {{ name }}
        </option>
      </select>
      <span class="text-soft"
        >average fps · G GPU limited, C CPU limited, B balanced<template v-if="target">
          · background: {{ target.averageFps
          }}<template v-if="target.lowFps"> / {{ target.lowFps }}</template> met, close, missed</template
        ></span
      >
    </div>
    <table v-if="rows.length > 0" class="mt-3 w-full border-separate border-spacing-1 text-center">
      <thead>
        <tr>
          <th class="w-24"><span class="sr-only">preset</span></th>
          <th v-for="cell in rows[0]" :key="cell.width" class="figures text-xs font-normal text-soft">
            {{ cell.width }}×{{ cell.height }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row[0]!.preset">
          <th class="text-right font-medium">{{ row[0]!.preset }}</th>
          <td
            v-for="cell in row"
            :key="cell.width"
            class="rounded border py-2.5"
            :class="[
              cell.verdict ? tone[cell.verdict] : 'bg-paper',
              isTarget(cell) ? 'border-2 border-ink' : 'border-transparent',
            ]"
            :title="`${letters[cell.estimate.limit][1]}; ${cell.estimate.range.low.toFixed(0)} to ${cell.estimate.range.high.toFixed(0)} fps, low ${cell.estimate.lowFps.toFixed(0)}`"
            :data-cell="`${cell.preset}-${cell.height}-${cell.width}`"
          >
            <b class="figures text-[15px]">{{ cell.estimate.averageFps.toFixed(0) }}</b>
            <span class="figures text-xs"
              >{{ letters[cell.estimate.limit][0]
              }}<template v-if="cell.estimate.videoMemoryShortage > 1"
                >, not enough video memory</template
              ></span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <div class="mt-3 grid grid-cols-[120px_1fr_60px] items-center gap-x-3 gap-y-1 text-[13px]">
      <label for="map-card">what if the card’s index were</label
      ><input id="map-card" v-model.number="card" type="range" min="10" max="260" step="1" /><span
        class="figures text-right"
        >{{ card }}</span
      >
      <label for="map-cpu">and the CPU’s</label
      ><input id="map-cpu" v-model.number="cpu" type="range" min="10" max="260" step="1" /><span
        class="figures text-right"
        >{{ cpu }}</span
      >
    </div>
    <p class="mt-1 text-soft">
      <template v-if="asItIs">Your build as it is.</template
      ><template v-else
        >Hypothetical: card {{ card }} instead of {{ bench.machine!.graphicsIndex }}, CPU {{ cpu }} instead of
        {{ bench.machine!.cpuIndex }}.
        <button type="button" class="quiet-button" @click="back">reset</button></template
      >
    </p>
  </section>
</template>
