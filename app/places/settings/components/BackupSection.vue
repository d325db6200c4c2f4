<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import type { BackupPreview } from '#shared/settings/views'
import { longDate } from '~/utils/show'
import { call } from '~/data/call'

/** Everything as one zip, and one put back in its place after a look at what it holds. */
const emit = defineEmits<{ restored: [] }>()
const { run, busy } = useAction()
const chosen = shallowRef<{ file: File; holds: BackupPreview } | null>(null)
const countNames: Readonly<Record<string, string>> = {
  sold_records: 'sold records',
  parts: 'parts',
  leads: 'leads',
  sources: 'sources',
  ledger_entries: 'ledger entries',
  runs: 'runs',
  rivals: 'rivals',
  photos: 'photos',
}
const zipped = (file: File) => new Blob([file], { type: 'application/zip' })
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file)
    await run(
      async () =>
        (chosen.value = { file, holds: await call('POST /api/settings/backup/preview', {}, zipped(file)) }),
    )
  input.value = ''
}
const isEmptying = ref(false)
const empty = () =>
  run(
    async () => {
      await call('POST /api/settings/backup/empty', {})
      await navigateTo('/')
    },
    { message: 'Everything deleted; the old database was kept next to the new one' },
  )
const restore = () =>
  run(
    async () => {
      await call('POST /api/settings/backup/restore', {}, zipped(chosen.value!.file))
      chosen.value = null
      emit('restored')
    },
    { message: 'Restored; the old database was kept next to it' },
  )
</script>

<template>
  <section aria-label="Backup" class="sheet p-3">
    <h2>Backup</h2>
    <p class="mt-1 max-w-[72ch] text-soft">
      One zip with everything: records, leads, builds, photos, settings. Tarvin also makes a copy on each day
      something changed and keeps the newest seven in a folder next to the database.
    </p>
    <div class="mt-2 flex gap-2">
      <a class="button" href="/api/settings/backup" download>Save a backup</a>
      <label class="button cursor-pointer"
        >Open a backup…<input
          type="file"
          accept=".zip,application/zip"
          class="sr-only"
          data-test="backup-file"
          @change="choose"
      /></label>
      <button type="button" class="button" @click="isEmptying = true">Delete everything…</button>
    </div>
    <div v-if="isEmptying" class="mt-3 border-l-4 border-stop bg-stop-ground p-3">
      <p>
        Deletes all builds, records, leads and parts, including sample data. A copy of the database is kept
        next to it and can be opened again.
      </p>
      <button type="button" class="button mt-2" :disabled="busy" @click="empty">Delete everything</button>
      <button type="button" class="button mt-2 ml-2" @click="isEmptying = false">Cancel</button>
    </div>
    <Dialog v-if="chosen" open class="relative z-40" @close="chosen = null">
      <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
      <DialogPanel class="sheet fixed inset-x-0 top-24 mx-auto w-[480px] max-w-[96vw] p-5">
        <DialogTitle as="h2">Backup of {{ longDate(chosen.holds.madeOn) }}</DialogTitle>
        <p class="mt-2">
          {{ chosen.holds.builds.length === 0 ? 'No builds' : `Builds: ${chosen.holds.builds.join(', ')}` }}
        </p>
        <ul class="mt-1 columns-2 text-soft">
          <li v-for="(count, table) in chosen.holds.counts" :key="table">
            <span class="figures">{{ count.toLocaleString('en') }}</span> {{ countNames[table] ?? table }}
          </li>
        </ul>
        <p class="mt-3">It replaces everything that is here now.</p>
        <div class="mt-3 flex gap-2">
          <button type="button" class="button button-main" :disabled="busy" @click="restore">Restore</button
          ><button type="button" class="button" @click="chosen = null">Cancel</button>
        </div>
      </DialogPanel>
    </Dialog>
  </section>
</template>
