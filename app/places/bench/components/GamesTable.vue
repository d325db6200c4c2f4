<script setup lang="ts">
import { typicalGames } from '#core/performance/model/typicalGames'
import type { Workload } from '#core/performance/model/workload'
import type { LibraryView } from '#shared/parts/views'
import type { Column } from '~/ui/tables/column'
import { call } from '~/data/call'

/** Games: made from a typical kind or another game and one known rate, changed, copied, removed. */
const { library } = defineProps<{ library: LibraryView }>()
const { run } = useAction()
/** What the open form begins with; null: none is open. */
const writing = shallowRef<{ like: string; game: Workload | null } | null>(null)
const remove = (game: Workload) =>
  run(() => call('DELETE /api/work/games/:id', { id: game.id }), {
    message: `${game.name} removed`,
    undo: async () => {
      const { model: _, fit: __, ...rest } = game
      await call('PUT /api/work/games', {}, { ...rest, known: null }, { was: 'new' })
    },
  })
const columns: readonly Column<Workload>[] = [
  { key: 'game', name: 'game', by: (game) => game.name },
  { key: 'kind', name: 'kind', class: 'text-soft', by: (game) => game.kind },
  { key: 'threads', name: 'threads', isFigure: true, by: (game) => game.threadsWanted },
  { key: 'presets', name: 'presets and video memory', class: 'text-xs text-soft' },
  { key: 'actions', name: 'actions', isSpoken: true, class: 'text-right whitespace-nowrap' },
]
const presetsText = (game: Workload) =>
  Object.entries(game.presets)
    .map(([name, { videoMemoryGb }]) => `${name} ${videoMemoryGb} GB`)
    .join(' · ')
</script>

<template>
  <section aria-label="games">
    <div class="flex items-baseline gap-3">
      <h2>Games</h2>
      <button
        type="button"
        class="button ml-auto"
        @click="writing = { like: typicalGames[0]!.kind, game: null }"
      >
        Add a game…
      </button>
    </div>
    <p v-if="library.workloads.length === 0" class="mt-1 text-soft">
      No games yet. A game needs just one known frame rate, from any PC whose CPU and card have an index.
    </p>
    <DataTable
      v-else
      class="mt-1"
      :columns="columns"
      :rows="library.workloads"
      :row-id="(game) => game.id"
      :row-data="(game) => ({ 'data-game': game.id })"
    >
      <template #presets="{ row: game }">{{ presetsText(game) }}</template>
      <template #actions="{ row: game }">
        <button type="button" class="quiet-button text-xs" @click="writing = { like: `id:${game.id}`, game }">
          edit
        </button>
        <button
          type="button"
          class="quiet-button text-xs"
          @click="writing = { like: `id:${game.id}`, game: null }"
        >
          copy
        </button>
        <button
          type="button"
          class="quiet-button text-xs"
          :aria-label="`remove ${game.name}`"
          @click="remove(game)"
        >
          remove
        </button>
      </template>
    </DataTable>
    <GameForm
      v-if="writing"
      :key="`${writing.like} ${writing.game?.id}`"
      :library="library"
      v-bind="writing"
      @close="writing = null"
    />
  </section>
</template>
