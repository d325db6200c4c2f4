<script setup lang="ts">
import type { BuildView } from '#shared/builds/views'
import type { LevelNeed, WeighedView } from '#shared/scales/views'
import { useCall } from '~/data/useCall'
import { signedAmount } from '~/utils/show'

/** The build against one rival, part by part; what would make them equal; room to grow; what to ask the seller. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView }>()
const tone = {
  better: 'tag-settled',
  level: 'tag-info',
  worse: 'tag-stop',
  'not stated': 'tag-waiting',
  'not there': 'tag-waiting',
} as const
const { data: level } = useCall('GET /api/builds/:id/scales/level', () => ({
  id: view.id,
  rivalId: against.machine.id,
}))
const lacking = computed(() => [
  { name: against.machine.name, needs: level.value?.other ?? [] },
  { name: view.name, needs: level.value?.own ?? [] },
])
const priced = (list: readonly LevelNeed[]) => list.filter(({ price }) => price !== null)
const sum = (list: readonly LevelNeed[]) => list.reduce((total, { price }) => total + (price ?? 0), 0)
const names = (list: readonly { name: string }[]) => list.map((each) => each.name).join(', ')
</script>

<template>
  <section class="sheet p-3" aria-label="part by part">
    <h2>Part by part: {{ against.machine.name }}</h2>
    <p v-if="against.components.length === 0" class="mt-1 text-soft">
      {{
        against.machine.kind === 'console'
          ? 'A console cannot be split into parts; it is judged by the modes it runs.'
          : 'Parts not known. Enter its CPU and card in Rivals.'
      }}
    </p>
    <dl v-else class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 max-md:grid-cols-1">
      <div
        v-for="line in against.components"
        :key="line.role"
        class="flex items-baseline gap-2"
        :title="`${line.own} vs ${line.other}`"
        :data-part-line="line.role"
      >
        <dt class="w-[88px] shrink-0">{{ line.name }}</dt>
        <dd class="min-w-0">
          <span class="tag !inline-block max-w-full !whitespace-normal" :class="tone[line.standing]"
            >{{ line.standing
            }}<template v-if="line.figure && line.standing !== 'level'">: {{ line.figure }}</template></span
          >
        </dd>
      </div>
    </dl>
    <p v-if="level && against.components.length > 0" class="mt-2">
      <template v-for="{ name, needs } in lacking" :key="name">
        <template v-if="priced(needs).length > 0"
          >To draw level, {{ name }} needs {{ names(priced(needs)) }}:
          <b class="figures">{{ signedAmount(sum(priced(needs)), view.currency) }}</b>.
        </template>
        <template v-if="priced(needs).length < needs.length"
          >Nothing on offer draws {{ name }} level in
          {{ names(needs.filter(({ price }) => price === null)) }}.
        </template>
      </template>
      <template v-if="level.own.length + level.other.length === 0"
        >Neither needs a part to draw level.</template
      >
    </p>
    <p v-if="view.weighing.own.room || against.room" class="mt-1 text-soft">
      Upgrade room: {{ view.name }} {{ view.weighing.own.room || 'not known' }}; {{ against.machine.name }}
      {{ against.room || 'not known' }}.
      <NuxtLink :to="`/b/${view.id}/machine?mode=power`" class="quiet-button">next steps</NuxtLink>
    </p>
    <div v-if="against.questions.length > 0" class="mt-2 border-l-4 border-waiting pl-3">
      <b>Ask the seller</b>
      <span class="text-soft">counted as the cheapest plausible part until answered</span>
      <NuxtLink :to="`/rivals?edit=${against.machine.id}`" class="quiet-button">enter answer</NuxtLink>
      <ul class="list-disc pl-5">
        <li v-for="each in against.questions" :key="each.key">{{ each.question }}</li>
      </ul>
    </div>
  </section>
</template>
