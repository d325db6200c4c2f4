<script setup lang="ts">
import { factKinds, factsOfRole, factText } from '#core/parts/facts'
import { partLabel, type Part, type PartFacts } from '#core/parts/part'

/** Two to four parts side by side: only facts that one of them has; where they differ, the better one is marked by a word. */
const { parts } = defineProps<{ parts: readonly Part[] }>()
const emit = defineEmits<{ close: [] }>()
const keys = computed(() =>
  [...new Set(parts.flatMap((part) => factsOfRole(part.role)))].filter((key) =>
    parts.some((part) => part.facts[key] !== undefined),
  ),
)
const differs = (key: keyof PartFacts) => new Set(parts.map((part) => factText(part.facts, key))).size > 1
function isBest(part: Part, key: keyof PartFacts): boolean {
  const { better } = factKinds[key]
  const values = parts.flatMap((each) =>
    typeof each.facts[key] === 'number' ? [each.facts[key] as number] : [],
  )
  if (!better || values.length < 2 || !differs(key)) return false
  return part.facts[key] === (better === 'more' ? Math.max(...values) : Math.min(...values))
}
</script>

<template>
  <section class="sheet mt-3 p-3" aria-label="side by side">
    <div class="flex items-center">
      <h2>Side by side</h2>
      <button type="button" class="quiet-button ml-auto" @click="emit('close')">close</button>
    </div>
    <table class="ledger mt-1">
      <thead>
        <tr>
          <th>spec</th>
          <th v-for="part in parts" :key="part.id">{{ partLabel(part) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="key in keys" :key="key" :class="{ 'text-soft': !differs(key) }">
          <td>{{ factKinds[key].name }}</td>
          <td v-for="part in parts" :key="part.id" :class="{ 'text-waiting': part.facts[key] === undefined }">
            {{ factText(part.facts, key) }}
            <span v-if="isBest(part, key)" class="tag tag-settled">better</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
