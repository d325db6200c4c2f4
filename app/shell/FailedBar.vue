<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { useFailures } from '~/data/failures'

/** What could not be read from the server, once for all places, with one button that tries all of it again. */
const failures = useFailures()
const { run, busy } = useAction()
const againEveryMs = 4000
useIntervalFn(() => {
  if (failures.isAway && !busy.value) void failures.retry().catch(() => undefined)
}, againEveryMs)
</script>

<template>
  <div
    v-if="failures.messages.length > 0"
    class="flex flex-wrap items-baseline gap-3 border-b border-stop bg-stop-ground px-4 py-1.5"
    role="alert"
    data-test="failed"
  >
    <span v-for="message in failures.messages" :key="message">{{ message }}</span><button
      type="button"
      class="button"
      :disabled="busy"
      @click="run(failures.retry)"
    >
      Try again
    </button>
  </div>
</template>
