<script setup lang="ts">
import { helpText, rateSettings } from '#core/performance/model/targetName'
import type { MachineRate } from '#core/comparison/weighedMachine'
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { signedPercent } from '~/utils/show'
import { rateWorking } from '~/workings/weighingWorkings'

/** Frames a second as dumbbells: average and low of each machine; what is not at the same settings is dashed and says so. */
const { view, machines } = defineProps<{ view: BuildView; machines: readonly WeighedView[] }>()
const series = ['var(--series-1)', 'var(--series-2)', 'var(--series-3)', 'var(--series-4)']
const rows = computed(() =>
  view.targets.map((target) => ({
    target,
    bars: machines.map((each, index) => ({
      name: each.machine.name,
      colour: series[index]!,
      rate: rateFor(each, target.workloadId, rateSettings(target)),
    })),
  })),
)
function rateFor(
  each: WeighedView,
  workloadId: string,
  settings: string,
): { rate: MachineRate; same: boolean } | null {
  const own = each.machine.rates.filter((rate) => rate.workloadId === workloadId)
  const same = own.find((rate) => rate.settings === settings)
  const rate = same ?? own[0]
  return rate ? { rate, same: same !== undefined } : null
}
const top = computed(
  () =>
    Math.ceil(
      (Math.max(60, ...machines.flatMap((each) => each.machine.rates.map((rate) => rate.averageFps))) * 1.1) /
        30,
    ) * 30,
)
const x = (fps: number) => 140 + (fps / top.value) * 320
const ticks = computed(() =>
  Array.from(
    { length: Math.floor(top.value / (top.value > 180 ? 60 : 30)) + 1 },
    (_, index) => index * (top.value > 180 ? 60 : 30),
  ),
)
const rowHeight = computed(() => machines.length * 17 + 16)
const sheet = useWorkingSheet()
function show(bar: (typeof rows.value)[number]['bars'][number], workload: string) {
  if (bar.rate) sheet.open(rateWorking(bar.name, workload, bar.rate.rate, bar.rate.same))
}
const counted = (other: WeighedView) => other.comparison!.pairs.filter((pair) => pair.ratio !== null).length
const kindWord = { measured: '', estimate: ' est.', stated: '' } as const
</script>

<template>
  <section class="sheet p-4" aria-label="fps">
    <h2>
      FPS
      <span class="font-normal text-soft"
        >● average ○ 1 % low ▭ 90 % range │ target · dashed: not like for like</span
      >
    </h2>
    <svg
      :viewBox="`0 0 540 ${rows.length * rowHeight + 24}`"
      class="mt-2 w-full"
      role="group"
      aria-label="fps by workload and machine; see the table below for the figures"
    >
      <g class="figures">
        <template v-for="tick in ticks" :key="tick">
          <line :x1="x(tick)" :x2="x(tick)" y1="14" :y2="rows.length * rowHeight + 18" stroke="var(--line)" />
          <text :x="x(tick)" y="10" text-anchor="middle" font-size="10.5" fill="var(--soft)">{{ tick }}</text>
        </template>
      </g>
      <g
        v-for="(row, index) in rows"
        :key="row.target.id"
        :transform="`translate(0, ${20 + index * rowHeight})`"
      >
        <text x="0" y="14" font-size="12.5" font-weight="600" fill="var(--ink)">
          {{ row.target.workload }}
        </text>
        <text x="0" y="29" font-size="11" fill="var(--soft)">
          {{ row.target.height }}p {{ row.target.preset }}{{ helpText(row.target) }}
        </text>
        <line
          :x1="x(row.target.averageFps)"
          :x2="x(row.target.averageFps)"
          y1="0"
          :y2="rowHeight - 10"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <g v-for="(bar, at) in row.bars" :key="bar.name" :transform="`translate(0, ${8 + at * 17})`">
          <template v-if="bar.rate">
            <rect
              v-if="bar.rate.rate.range"
              :x="x(bar.rate.rate.range.low)"
              y="-6"
              :width="x(bar.rate.rate.range.high) - x(bar.rate.rate.range.low)"
              height="12"
              :fill="bar.colour"
              opacity="0.16"
            />
            <line
              v-if="bar.rate.rate.lowFps"
              :x1="x(bar.rate.rate.lowFps)"
              :x2="x(bar.rate.rate.averageFps)"
              y1="0"
              y2="0"
              :stroke="bar.colour"
              stroke-width="2"
              :stroke-dasharray="bar.rate.same ? '' : '4 3'"
            />
            <circle
              v-if="bar.rate.rate.lowFps"
              :cx="x(bar.rate.rate.lowFps)"
              cy="0"
              r="4"
              fill="var(--sheet)"
              :stroke="bar.colour"
              stroke-width="2"
            />
            <circle :cx="x(bar.rate.rate.averageFps)" cy="0" r="4.5" :fill="bar.colour" />
            <text
              :x="x(bar.rate.rate.averageFps) + 9"
              y="4"
              font-size="11"
              role="button"
              tabindex="0"
              style="cursor: pointer"
              :fill="bar.colour"
              class="figures"
              paint-order="stroke"
              stroke="var(--sheet)"
              stroke-width="4"
              @click="show(bar, row.target.workload)"
              @keydown.enter="show(bar, row.target.workload)"
            >
              <tspan text-decoration="underline">{{ Math.round(bar.rate.rate.averageFps) }}</tspan>
              <tspan>{{ bar.rate.same ? kindWord[bar.rate.rate.kind] : ' own mode' }}</tspan>
            </text>
          </template>
          <text v-else x="144" y="4" font-size="11" fill="var(--soft)">not stated</text>
        </g>
      </g>
    </svg>
    <div class="sr-only">
      <table>
        <tr v-for="row in rows" :key="row.target.id">
          <th>{{ row.target.workload }}</th>
          <td v-for="bar in row.bars" :key="bar.name">
            {{ bar.name }}:
            {{
              bar.rate
                ? `${Math.round(bar.rate.rate.averageFps)} ${bar.rate.same ? '' : 'not like for like'}`
                : 'not stated'
            }}
          </td>
        </tr>
      </table>
    </div>
    <ul class="mt-2 space-y-0.5">
      <li v-for="other in view.weighing.others" :key="other.machine.id">
        {{ other.machine.name }}:
        <template v-if="other.comparison!.meanRatio !== null"
          >{{ view.name }}
          <b class="figures">{{ signedPercent(100 * (other.comparison!.meanRatio - 1)) }}</b> geometric mean
          over {{ counted(other) }} at the same settings<template
            v-if="other.comparison!.meanLowRatio !== null"
            >, 1 % lows
            <span class="figures">{{
              signedPercent(100 * (other.comparison!.meanLowRatio - 1))
            }}</span></template
          ></template
        ><template v-else>no results at the same settings</template
        ><span v-if="other.comparison!.targets.of > 0" class="text-soft"
          >; targets met: {{ other.comparison!.targets.own.met }} vs
          {{ other.comparison!.targets.other.met }} of {{ other.comparison!.targets.of }}</span
        >
      </li>
    </ul>
    <p class="mt-2 text-soft">
      <template v-for="other in view.weighing.others" :key="other.machine.id"
        ><span v-if="other.comparison!.pairs.some((pair) => !pair.likeForLike)" class="block"
          >{{ other.machine.name }}:
          {{ other.comparison!.pairs.filter((pair) => !pair.likeForLike).length }} of
          {{ other.comparison!.pairs.length }} not like for like, left out of the mean.</span
        ></template
      >
    </p>
  </section>
</template>
