<script setup lang="ts">
import { helpText } from '#core/performance/model/targetName'
import type { BenchView, TargetView } from '#shared/bench/views'
import type { BuildView } from '#shared/builds/views'
import { estimateWorking } from '~/workings/benchWorkings'

/** Targets against estimates and runs, as ranges on one axis of frames a second. */
const { view, bench = null } = defineProps<{ view: BuildView; bench?: BenchView | null }>()
const working = (target: TargetView) =>
  estimateWorking(
    view,
    target,
    bench?.targets.find((each) => each.id === target.id),
    bench?.runs,
  )
const top = computed(
  () =>
    Math.ceil(
      (Math.max(
        ...view.targets.flatMap((target) => [
          target.averageFps,
          target.estimate?.range.high ?? 0,
          target.estimate?.generatedFps ?? 0,
          ...target.measured.map((run) => run.averageFps),
        ]),
      ) *
        1.08) /
        30,
    ) * 30,
)
const at = (fps: number) => `${(100 * fps) / top.value}%`
const ticks = computed(() => Array.from({ length: Math.floor(top.value / 30) + 1 }, (_, index) => index * 30))
const tone = { met: 'tag-settled', narrow: 'tag-waiting', missed: 'tag-stop' } as const
const limitWords = { graphics: 'GPU limited', cpu: 'CPU limited', balanced: 'balanced' } as const
</script>

<template>
  <section class="sheet p-4" aria-label="targets">
    <h2>
      Targets
      <span class="font-normal text-soft"
        >fps · bar: 90 % range of the estimate · ● average ○ 1 % low · │ target · ◆ measured ◇ someone else’s
        or left out</span
      >
    </h2>
    <div class="mt-3 grid grid-cols-[190px_1fr_210px] items-center gap-x-4">
      <template v-for="target in view.targets" :key="target.id">
        <div class="py-2">
          <b>{{ target.workload }}</b>
          <div class="text-xs text-soft">
            {{ target.height }}p {{ target.preset }}{{ helpText(target) }} · target {{ target.averageFps
            }}<template v-if="target.lowFps"> / {{ target.lowFps }}</template>
          </div>
        </div>
        <div class="relative h-11 border-l border-line">
          <span
            v-for="tick in ticks"
            :key="tick"
            class="absolute inset-y-0 border-l border-line"
            :style="{ left: at(tick) }"
          />
          <template v-if="target.estimate">
            <span
              class="absolute top-[9px] h-3 bg-settled-ground"
              :style="{
                left: at(target.estimate.range.low),
                width: at(target.estimate.range.high - target.estimate.range.low),
              }"
            />
            <span
              class="absolute top-[10px] -ml-[5px] size-2.5 rounded-full bg-settled"
              :style="{ left: at(target.estimate.averageFps) }"
            />
            <span
              class="absolute top-[27px] h-2 bg-settled-ground"
              :style="{
                left: at(target.estimate.lowRange.low),
                width: at(target.estimate.lowRange.high - target.estimate.lowRange.low),
              }"
            />
            <span
              class="absolute top-[26px] -ml-[5px] size-2.5 rounded-full border-2 border-settled bg-sheet"
              :style="{ left: at(target.estimate.lowFps) }"
            />
          </template>
          <span
            v-for="(run, index) in target.measured"
            :key="index"
            class="absolute top-[5px] -ml-1.5"
            :class="run.stands ? 'text-info' : 'text-soft opacity-60'"
            :style="{ left: at(run.averageFps) }"
            :title="`measured ${run.averageFps} on ${run.ranOn}${run.excluded ? `, left out: ${run.excluded}` : ''}`"
            >{{ run.stands ? '◆' : '◇' }}</span
          >
          <span
            class="absolute top-1 h-5 border-l-[3px] border-ink"
            :style="{ left: at(target.averageFps) }"
          />
          <span
            v-if="target.lowFps"
            class="absolute top-6 h-4 border-l-2 border-ink"
            :style="{ left: at(target.lowFps) }"
          />
        </div>
        <div v-if="target.estimate && target.verdict" class="py-2">
          <TheFigure
            strong
            :text="`${Math.round(target.estimate.averageFps)} / ${Math.round(target.estimate.lowFps)}`"
            :working="() => working(target)"
            :data-target="target.workloadId"
          />
          <span class="tag" :class="tone[target.verdict]">{{ target.verdict }}</span>
          <div v-if="target.heat" class="text-xs text-stop">{{ target.heat }}</div>
          <div class="text-xs text-soft">
            <template v-if="target.measured[0]?.stands"
              >measured {{ target.measured[0].averageFps.toFixed(0) }} fps counts · </template
            >{{ limitWords[target.estimate.limit]
            }}<template v-if="target.estimate.limitShift"> adjusted by your runs</template
            ><template v-if="target.estimate.rough"> · rough estimate</template
            ><template v-if="target.estimate.isCapped"> · at the engine’s fps cap</template
            ><template v-if="target.estimate.videoMemoryShortage > 1"> · not enough video memory</template
            ><template v-if="target.estimate.generatedFps !== null">
              · {{ Math.round(target.estimate.generatedFps) }} displayed with frame generation</template
            ><template v-if="target.estimate.unsure.length > 0">
              · {{ Math.round(target.estimate.range.low) }} to
              {{ Math.round(target.estimate.range.high) }} fps; not known:
              {{ target.estimate.unsure.join(', ') }}</template
            >
          </div>
        </div>
        <div v-else />
      </template>
      <span />
      <div class="figures relative h-4 text-xs text-soft">
        <span
          v-for="tick in ticks"
          :key="tick"
          class="absolute -translate-x-1/2"
          :style="{ left: at(tick) }"
          >{{ tick }}</span
        >
      </div>
      <span />
    </div>
  </section>
</template>
