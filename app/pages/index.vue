<script setup lang="ts">
import type { BuildStrip as Strip } from '#shared/builds/views'
import { openTarvinFile } from '~/places/pastes/state/openFile'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** Builds: which machine needs me today? */
const { run } = useAction()
const { data: strips } = useCall('GET /api/builds')
/** Variants stand under their build: thoughts, no machines. One whose build is archived stands by itself. */
const builds = computed(
  () =>
    strips.value?.filter(
      ({ variantOf }) => variantOf === null || !strips.value!.some(({ id }) => id === variantOf),
    ) ?? [],
)
usePlace('builds')

const remove = (strip: Strip) =>
  run(() => call('DELETE /api/builds/:id', { id: strip.id }), {
    message: `${strip.name} archived`,
    undo: () => call('POST /api/builds/:id/restore', { id: strip.id }),
  })

async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  await run(
    async () => {
      const path = await openTarvinFile(await file.text(), file.name)
      if (path.startsWith('/b/')) await navigateTo(path)
    },
    { message: `${file.name} imported` },
  )
  input.value = ''
}
</script>

<template>
  <main class="mx-auto h-full max-w-[1120px] overflow-y-auto px-6 py-6">
    <div class="flex items-center gap-3">
      <h1>Builds</h1>
      <label class="button ml-auto cursor-pointer"
        >Open a file…<input type="file" accept=".json,application/json" class="sr-only" @change="openFile"
      /></label>
      <NuxtLink to="/new" class="button button-main">New build</NuxtLink>
    </div>
    <p v-if="!strips" class="mt-4 text-soft" role="status">Loading…</p>
    <template v-else-if="strips.length > 0">
      <CounterAgenda :strips="builds" class="mt-4" />
      <BuildStripCard
        v-for="strip in builds"
        :key="strip.id"
        :strip="strip"
        :variants="strips.filter(({ variantOf }) => variantOf === strip.id)"
        class="mt-4"
        @remove="remove(strip)"
      />
      <DatesAhead />
    </template>
    <LazyFirstStart v-else />
  </main>
</template>
