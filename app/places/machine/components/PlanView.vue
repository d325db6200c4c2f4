<script setup lang="ts">
import { roleNames, type Role } from '#core/parts/part'
import type { MachineView } from '#shared/machine/views'

/**
 * The machine as plates. Drawn: only what clashes or runs near its limit; a line goes to its finding. The same as a
 * list beneath.
 */
const { plan, selected } = defineProps<{ plan: MachineView['plan']; selected: string }>()
const emit = defineEmits<{ select: [key: string] }>()
/** Where each plate lies: the board in the middle, so that most lines run between neighbours. */
const places: Readonly<Record<Role, readonly [x: number, y: number]>> = {
  supply: [4, 4],
  cpu: [137, 4],
  cooler: [270, 4],
  graphics: [4, 88],
  motherboard: [137, 88],
  memory: [270, 88],
  extra: [4, 172],
  case: [137, 172],
  storage: [270, 172],
  donor: [137, 256],
}
const size = { width: 106, height: 52 }
const centre = (role: Role) => ({ x: places[role][0] + size.width / 2, y: places[role][1] + size.height / 2 })
const dash = { power: '', data: '2 4', space: '8 4', heat: '1 3' } as const
const letter = { power: 'W', data: 'D', space: 'mm', heat: '°' } as const
const words = { power: 'power', data: 'data', space: 'space', heat: 'heat' } as const
/** A name in two lines of whole words; what is longer is cut. */
function wrapped(name: string): [string, string] {
  const most = 15
  const words = name.split(' ')
  let first = words.shift() ?? ''
  while (words[0] !== undefined && `${first} ${words[0]}`.length <= most) first = `${first} ${words.shift()!}`
  const second = words.join(' ')
  return [first.slice(0, most), second.length > most ? `${second.slice(0, most - 1)}…` : second]
}
const lines = computed(() =>
  plan.lines.map((line, index) => {
    const [from, to] = [centre(line.from), centre(line.to)]
    // lines between the same plates lie beside each other
    const twin = plan.lines
      .slice(0, index)
      .filter((other) => [other.from, other.to].sort().join() === [line.from, line.to].sort().join()).length
    const shift = twin === 0 ? 0 : (twin % 2 === 1 ? 1 : -1) * Math.ceil(twin / 2) * 14
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
    const [dx, dy] = [(-(to.y - from.y) / length) * shift, ((to.x - from.x) / length) * shift]
    return {
      ...line,
      number: index + 1,
      x1: from.x + dx,
      y1: from.y + dy,
      x2: to.x + dx,
      y2: to.y + dy,
      mx: (from.x + to.x) / 2 + dx,
      my: (from.y + to.y) / 2 + dy,
      isSelf: line.from === line.to,
    }
  }),
)
const tone = (line: MachineView['plan']['lines'][number]) =>
  line.state === 'clash' ? 'var(--stop)' : 'var(--waiting)'
const isTouched = (role: Role) =>
  plan.lines.some((line) => line.state === 'clash' && (line.from === role || line.to === role))
const open = (line: { findingKey: string | null }) => line.findingKey && emit('select', line.findingKey)
</script>

<template>
  <figure aria-label="machine diagram">
    <svg
      :viewBox="`0 0 380 ${plan.plates.some((plate) => plate.role === 'donor') ? 312 : 228}`"
      class="w-full"
      aria-hidden="true"
    >
      <line
        v-for="line in lines.filter((each) => !each.isSelf)"
        :key="`l${line.number}`"
        :x1="line.x1"
        :y1="line.y1"
        :x2="line.x2"
        :y2="line.y2"
        :stroke="tone(line)"
        :stroke-width="line.findingKey === selected ? 4 : 2"
        :stroke-dasharray="dash[line.kind]"
      />
      <g v-for="plate in plan.plates" :key="plate.role">
        <rect
          :x="places[plate.role][0]"
          :y="places[plate.role][1]"
          :width="size.width"
          :height="size.height"
          rx="3"
          fill="var(--sheet)"
          :stroke="isTouched(plate.role) ? 'var(--stop)' : 'var(--line)'"
          :stroke-width="isTouched(plate.role) ? 1.5 : 1"
        />
        <text
          :x="places[plate.role][0] + 7"
          :y="places[plate.role][1] + 16"
          font-size="10.5"
          fill="var(--soft)"
        >
          {{ roleNames[plate.role] }}{{ plate.names.length > 1 ? ` × ${plate.names.length}` : '' }}
        </text>
        <text
          :x="places[plate.role][0] + 7"
          :y="places[plate.role][1] + 32"
          font-size="11"
          font-weight="600"
          fill="var(--ink)"
        >
          {{ wrapped(plate.names[0]!)[0] }}
        </text>
        <text
          :x="places[plate.role][0] + 7"
          :y="places[plate.role][1] + 45"
          font-size="11"
          font-weight="600"
          fill="var(--ink)"
        >
          {{ wrapped(plate.names[0]!)[1] }}
        </text>
      </g>
      <g v-for="line in lines" :key="`n${line.number}`" class="cursor-pointer" @click="open(line)">
        <circle
          :cx="line.isSelf ? line.x1 + 48 : line.mx"
          :cy="line.isSelf ? line.y1 - 20 : line.my"
          r="9"
          :fill="line.state === 'clash' ? 'var(--stop-ground)' : 'var(--waiting-ground)'"
          :stroke="tone(line)"
        />
        <text
          :x="line.isSelf ? line.x1 + 48 : line.mx"
          :y="(line.isSelf ? line.y1 - 20 : line.my) + 3.5"
          font-size="10"
          text-anchor="middle"
          fill="var(--ink)"
        >
          {{ line.number }}
        </text>
      </g>
    </svg>
    <figcaption class="text-xs text-soft">
      Only conflicts and anything above 85 % of its limit are drawn.
    </figcaption>
    <ol class="mt-1">
      <li v-for="line in lines" :key="line.number" class="flex gap-2 py-0.5">
        <span
          class="figures w-5 shrink-0 text-right"
          :class="line.state === 'clash' ? 'text-stop' : 'text-waiting'"
          >{{ line.number }}</span
        >
        <button
          v-if="line.findingKey"
          type="button"
          class="text-left text-[13px] underline decoration-dotted underline-offset-2"
          @click="open(line)"
        >
          {{ words[line.kind] }} ({{ letter[line.kind] }}), {{ roleNames[line.from] }} –
          {{ roleNames[line.to] }}: {{ line.text }}
        </button>
        <span v-else class="text-[13px]"
          >{{ words[line.kind] }}, {{ roleNames[line.from] }} – {{ roleNames[line.to] }}: close to the limit,
          {{ line.text }}</span
        >
      </li>
      <li v-if="lines.length === 0" class="text-settled">✓ No conflicts, nothing close to its limit.</li>
    </ol>
  </figure>
</template>
