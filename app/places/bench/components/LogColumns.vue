<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { frameUnits, type FrameColumn, type FrameUnit } from '#core/reading/frames/frameLogFile'
import { rememberedColumn, type LogToRead } from '~/places/bench/state/useFrameLogs'

/** Which column of a dropped log holds the frames, and in what unit; proposed, remembered by header. */
const { log, progress, failed } = defineProps<{ log: LogToRead; progress: number | null; failed: string }>()
const emit = defineEmits<{ read: [column: FrameColumn]; close: [] }>()
const proposed = rememberedColumn(log.head)
const column = ref(proposed?.column ?? 0)
const unit = ref<FrameUnit>(proposed?.unit ?? 'ms')
</script>

<template>
  <Dialog open class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <DialogPanel class="fixed inset-x-0 top-20 mx-auto w-[640px] max-w-[94vw] border border-ink bg-sheet p-5">
      <DialogTitle as="h2" class="!text-[15px]">Frame times in {{ log.file.name }}</DialogTitle>
      <div class="mt-3 flex flex-wrap gap-3">
        <FormField label="frame-time column" class="flex flex-col"
          ><select v-model.number="column" class="field" aria-label="frame-time column">
            <option v-for="(name, index) in log.head.header" :key="index" :value="index">{{ name }}</option>
          </select></FormField
        >
        <FormField label="contents" class="flex flex-col"
          ><select v-model="unit" class="field" aria-label="contents of the column">
            <option v-for="(each, key) in frameUnits" :key="key" :value="key">{{ each.name }}</option>
          </select></FormField
        >
      </div>
      <div class="mt-3 overflow-x-auto">
        <table class="ledger figures text-xs">
          <thead>
            <tr>
              <th
                v-for="(name, index) in log.head.header"
                :key="index"
                :class="{ '!text-ink underline': index === column }"
              >
                {{ name }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, line) in log.head.sample" :key="line">
              <td
                v-for="(name, index) in log.head.header"
                :key="name"
                :class="{ 'text-soft': index !== column }"
              >
                {{ row[index] }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="failed" class="mt-2 text-stop" role="alert">{{ failed }}</p>
      <div class="mt-4 flex items-center gap-3">
        <button
          type="button"
          class="button button-main"
          :disabled="progress !== null"
          @click="emit('read', { column, unit })"
        >
          Read log</button
        ><button type="button" class="button" @click="emit('close')">
          {{ progress === null ? 'Cancel' : 'Stop' }}</button
        ><progress
          v-if="progress !== null"
          class="flex-1"
          :value="progress"
          max="1"
          aria-label="reading the log"
        />
      </div>
    </DialogPanel>
  </Dialog>
</template>
