<script setup lang="ts">
import { partLabel, roleNames, type Part } from '#core/parts/part'
import { matchingParts } from '../state/matchingParts'

/** A part of the library by typing its name or role; Enter takes the first. */
const { parts, label, placeholder } = defineProps<{
  parts: readonly Part[]
  label: string
  placeholder: string
}>()
const emit = defineEmits<{ pick: [part: Part] }>()
const typed = ref('')
const matches = computed(() => matchingParts(parts, typed.value))
function pick(part: Part | undefined) {
  if (!part) return
  typed.value = ''
  emit('pick', part)
}
</script>

<template>
  <div class="relative">
    <input
      v-model="typed"
      class="field w-full"
      :placeholder="placeholder"
      :aria-label="label"
      @keydown.enter.prevent="pick(matches[0])"
    />
    <ul v-if="matches.length > 0" class="sheet absolute z-10 w-full">
      <li v-for="part in matches" :key="part.id">
        <button
          type="button"
          class="flex w-full justify-between px-2 py-1 text-left hover:bg-paper"
          @click="pick(part)"
        >
          {{ partLabel(part) }}<span class="text-xs text-soft">{{ roleNames[part.role] }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>
