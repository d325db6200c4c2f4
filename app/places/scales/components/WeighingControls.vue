<script setup lang="ts">
import { playStyles, type PlayStyle } from '#core/comparison/verdict/playStyles'
import type { BuildView } from '#shared/builds/views'
import type { SettingsChange } from '../state/settings'

/** What the weighing goes by: years, way of playing, what the build enters at. */
const { view } = defineProps<{ view: BuildView }>()
const emit = defineEmits<{ change: [change: SettingsChange] }>()
const settings = computed(() => view.weighing.settings)
const number = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
    <label
      >over
      <input
        :value="settings.years"
        type="number"
        min="0.5"
        max="15"
        step="0.5"
        class="field figures !min-h-0 w-16 !py-0.5"
        aria-label="years"
        @change="emit('change', { years: number($event) })"
      />
      years</label
    >
    <label
      >played
      <select
        :value="settings.style"
        class="field !min-h-0 !py-0.5"
        aria-label="way of playing"
        @change="emit('change', { style: ($event.target as HTMLSelectElement).value as PlayStyle })"
      >
        <option v-for="(style, key) in playStyles" :key="key" :value="key">{{ style.name }}</option>
      </select></label
    >
    <label
      >price of the build:
      <select
        :value="settings.basis"
        class="field !min-h-0 !py-0.5"
        aria-label="price used for the build"
        @change="emit('change', { basis: ($event.target as HTMLSelectElement).value as 'anyone' | 'paid' })"
      >
        <option value="anyone">market price</option>
        <option value="paid">what I pay</option>
      </select></label
    >
    <label
      ><input
        :value="settings.gamesPerYear"
        type="number"
        min="0"
        max="200"
        class="field figures !min-h-0 w-14 !py-0.5"
        aria-label="games per year"
        @change="emit('change', { gamesPerYear: number($event) })"
      />
      games per year</label
    >
    <label
      v-if="settings.assumeWorth || view.weighing.terms.worthUnknown.length > 0"
      :title="`not known: resale of ${view.weighing.terms.worthUnknown.join(', ') || 'some parts'}`"
      ><input
        type="checkbox"
        :checked="settings.assumeWorth"
        @change="emit('change', { assumeWorth: ($event.target as HTMLInputElement).checked })"
      />
      assumed resale of unknown parts</label
    >
    <span class="text-soft">{{ view.weighing.terms.fullHours }} h per day at full load, from your rules</span>
  </div>
</template>
