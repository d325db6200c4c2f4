<script setup lang="ts">
import type { BuildView } from '#shared/builds/views'
import type { WeighedView } from '#shared/scales/views'
import { amount } from '~/utils/show'
import { turnings } from '../state/turning'

/** The verdict in words against each rival: what to do, what speaks against it, what would turn it, what is not known. */
const { view, against } = defineProps<{ view: BuildView; against: WeighedView | null }>()
const winnerName = (winner: 'own' | 'other' | 'depends', other: WeighedView) =>
  winner === 'depends' ? 'neither wins' : `${winner === 'own' ? view.name : other.machine.name} wins`
/** The nearest turn of each kind, in words. */
function turns(other: WeighedView): string {
  const list = turnings(view, other).flatMap((turning) => {
    const { below, above } = turning.point
    const near = [below && { ...below, word: 'below' }, above && { ...above, word: 'above' }]
      .flatMap((each) => each ?? [])
      .sort((a, b) => Math.abs(a.value - turning.now) - Math.abs(b.value - turning.now))[0]
    if (!near) return []
    const value = turning.unit === 'money' ? amount(near.value, view.currency) : `${near.value.toFixed(1)}`
    const side = near.word === 'below' ? 'or less' : 'or more'
    return [`${turning.name} ${value} ${side}: then ${winnerName(near.winner, other)}`]
  })
  return list.length === 0
    ? 'No realistic change alters the verdict.'
    : `What would change it: ${list.slice(0, 2).join(', or ')}.`
}
</script>

<template>
  <div class="space-y-1.5 border-l-4 border-settled pl-4">
    <p v-for="other in view.weighing.others" :key="other.machine.id" :data-verdict="other.machine.id">
      <span class="text-[15px] font-medium">{{ other.verdict!.sentence }}</span><template
        v-if="other.verdict!.second !== ''"
        >{{ ` ${other.verdict!.second}` }}</template
      ><template v-if="other.machine.id === against?.machine.id"
        >{{ ' '
        }}<NuxtLink
          :to="{ query: { mode: 'turning', against: other.machine.id } }"
          class="underline decoration-dotted underline-offset-[3px]"
          >{{ turns(other) }}</NuxtLink
        ></template
      ><span v-if="other.verdict!.unknown" class="text-waiting">{{
        ` Not known: ${other.verdict!.unknown}.`
      }}</span>
    </p>
  </div>
</template>
