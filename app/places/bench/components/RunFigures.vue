<script setup lang="ts">
import type { RunInput } from '#shared/bench/schemas'

/** The frame rates of a run; where it was repeated, of each repeat, and the median stands. */
const { repeats } = defineProps<{ repeats: NonNullable<RunInput['repeats']> }>()
const emit = defineEmits<{ append: []; remove: [index: number] }>()
const repeated = computed(() => repeats.length > 0)
</script>

<template>
  <div>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2">
      <template v-if="!repeated">
        <NumberField name="averageFps" label="average, fps" spoken="average of the run" class="w-24" />
        <NumberField name="lowFps" label="1 % low" spoken="1 % low of the run" class="w-20" />
      </template>
      <NumberField name="minFps" label="minimum" spoken="minimum of the run" class="w-20" />
      <NumberField name="maxFps" label="maximum" spoken="maximum of the run" class="w-20" />
      <button type="button" class="button" @click="emit('append')">Add a repeat</button>
      <span v-if="repeated" class="pb-1.5 text-soft">the median of the repeats counts</span>
    </div>
    <div v-for="(_, index) in repeats" :key="index" class="mt-1 flex items-start gap-2">
      <span class="w-20 pt-1.5 text-soft">repeat {{ index + 1 }}</span>
      <NumberField
        bare
        :name="`repeats[${index}].averageFps`"
        :label="`average of repeat ${index + 1}`"
        placeholder="average"
        class="w-24"
      />
      <NumberField
        bare
        :name="`repeats[${index}].lowFps`"
        :label="`low of repeat ${index + 1}`"
        placeholder="low"
        class="w-20"
      />
      <TextField
        bare
        :name="`repeats[${index}].discarded`"
        :label="`reason to discard repeat ${index + 1}`"
        placeholder="reason to discard (empty: it counts)"
        class="flex-1"
      />
      <button type="button" class="quiet-button pt-1.5" @click="emit('remove', index)">remove</button>
    </div>
  </div>
</template>
