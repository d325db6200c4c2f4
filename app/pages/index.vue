<script setup lang="ts">
import type { BuildStrip as Strip } from '#shared/builds/views'
import { openTarvinFile } from '~/places/pastes/state/openFile'
import { request, type RequestError } from '~/utils/request'

/** Builds: which machine needs me today? */
const session = useSession()
const { run } = useAction()
const strips = ref<Strip[] | null>(null)
/** Variants stand under their build: thoughts, no machines. One whose build is archived stands by itself. */
const builds = computed(
  () =>
    strips.value?.filter(
      ({ variantOf }) => variantOf === null || !strips.value!.some(({ id }) => id === variantOf),
    ) ?? [],
)
const failed = ref('')
async function load() {
  await session.load()
  strips.value = await request<Strip[]>('/api/builds')
}
onMounted(() => load().catch((error: RequestError) => (failed.value = error.message)))
useHead({ title: 'Builds · Tarvin' })

async function remove(strip: Strip) {
  await run(
    async () => {
      await request(`/api/builds/${strip.id}`, { method: 'DELETE' })
      await load()
    },
    {
      message: `${strip.name} archive`,
      undo: async () => {
        await request(`/api/builds/${strip.id}/restore`, { method: 'POST' })
        await load()
      },
    },
  )
}

async function openFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  await run(
    async () => {
      const path = await openTarvinFile(await file.text(), file.name)
      await session.load()
      if (path.startsWith('/b/')) await navigateTo(path)
      await load()
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
    <p v-if="failed" class="mt-4 text-stop" role="alert">{{ failed }}</p>
    <p v-else-if="!strips" class="mt-4 text-soft" role="status">Loading…</p>
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
    <FirstStart v-else @loaded="load" />
  </main>
</template>
