<script setup lang="ts">
import type { PriceView } from '#shared/prices/views'
import { call } from '~/data/call'
import { percent, shortDate } from '~/utils/show'

/** What to wait for: a launch, a season, and what it may take off the price. */
const { view } = defineProps<{ view: PriceView }>()
const { run } = useAction()
const wait = reactive({ what: '', expectedOn: '', dropPercent: 8, chance: 60, wholeRole: true })

const noteWait = () =>
  run(
    async () => {
      await call(
        'POST /api/prices/wait-notes',
        {},
        {
          role: view.part.role,
          partId: wait.wholeRole ? null : view.partId,
          what: wait.what,
          expectedOn: wait.expectedOn,
          dropPercent: wait.dropPercent,
          chance: wait.chance / 100,
        },
      )
      wait.what = ''
    },
    { message: 'noted' },
  )
const dropWait = (id: string) =>
  run(() => call('DELETE /api/prices/wait-notes/:id', { id }), {
    message: 'note archived',
    undo: () => call('POST /api/prices/wait-notes/:id/restore', { id }),
  })
</script>

<template>
  <div>
    <h2>Worth waiting for</h2>
    <p v-for="note in view.waitNotes" :key="note.id" class="flex items-baseline gap-2">
      <span class="min-w-0 flex-1"
        >{{ note.what }}
        <span class="text-soft"
          >{{ shortDate(note.expectedOn) }}, {{ note.dropPercent }} % with chance {{ percent(note.chance)
          }}{{ note.partId ? '' : ', whole role' }}</span
        ></span
      ><button
        type="button"
        class="quiet-button text-xs"
        :aria-label="`archive the note ${note.what}`"
        @click="dropWait(note.id)"
      >
        ×
      </button>
    </p>
    <form class="mt-1 flex flex-wrap items-center gap-2" @submit.prevent="noteWait">
      <input
        v-model="wait.what"
        class="field min-w-0 flex-1"
        placeholder="a launch, a season"
        aria-label="what to wait for"
      /><DateField v-model="wait.expectedOn" label="expected on" />
      <label
        >price drop
        <input
          v-model.number="wait.dropPercent"
          type="number"
          min="-100"
          max="100"
          class="field figures w-16"
          aria-label="expected drop in percent"
        />
        %</label
      ><label
        >chance
        <input
          v-model.number="wait.chance"
          type="number"
          min="0"
          max="100"
          class="field figures w-16"
          aria-label="chance in percent"
        />
        %</label
      >
      <label><input v-model="wait.wholeRole" type="checkbox" /> whole role</label
      ><button
        type="submit"
        class="button ml-auto"
        :disabled="wait.what.trim() === '' || wait.expectedOn === ''"
      >
        Add note
      </button>
    </form>
  </div>
</template>
