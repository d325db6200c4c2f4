<script setup lang="ts">
import { formatDistanceStrict, parseISO } from 'date-fns'
import { connectorKindNames, type ConnectorInput } from '#shared/sources/schemas'
import type { PollView } from '#shared/sources/views'
import type { LibraryView } from '#shared/parts/views'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'
import type { SentBody } from '#shared/calls'

/** Addresses that are checked on a schedule, with what the last asking brought. */
const { sources } = defineProps<{ sources: LibraryView['sources'] }>()
const { run, busy } = useAction()
const { data: connectors } = useCall('GET /api/sources/connectors')
const adding = ref(false)
/** Several addresses of one source are entered one after the other. */
const last = ref<ConnectorInput | null>(null)
const polling = ref('')
const opened = ref('')

function added(id: string, connector: ConnectorInput) {
  last.value = connector
  adding.value = false
  void run(() => pollOne(id))
}
async function pollOne(id: string) {
  polling.value = id
  try {
    await call('POST /api/sources/connectors/:id/poll', { id })
  } finally {
    polling.value = ''
  }
}
const pollAll = () =>
  run(
    async () => {
      for (const connector of (connectors.value ?? []).filter((each) => !each.paused))
        await pollOne(connector.id)
    },
    { message: 'all sources checked' },
  )
const change = (id: string, patch: SentBody<'PATCH /api/sources/connectors/:id'>) =>
  run(() => call('PATCH /api/sources/connectors/:id', { id }, patch))
const remove = (id: string) =>
  run(() => call('DELETE /api/sources/connectors/:id', { id }), {
    message: 'check removed',
    undo: () => call('POST /api/sources/connectors/:id/restore', { id }),
  })

const outcomeTone = {
  done: 'tag-settled',
  failed: 'tag-stop',
  running: 'tag-info',
  'cut-short': 'tag-waiting',
} as const
function words(poll: PollView): string {
  if (poll.outcome !== 'done') return poll.message || 'checking…'
  const parts = [
    poll.added > 0 ? `${poll.added} new` : 'nothing new',
    poll.changed > 0 ? `${poll.changed} price changes` : '',
    poll.vanished > 0 ? `${poll.vanished} gone` : '',
    poll.alreadyThere > 0 ? `${poll.alreadyThere} already known` : '',
    poll.rejected > 0 ? `${poll.rejected} rejected` : '',
  ]
  return parts.filter((part) => part !== '').join(', ')
}
const ago = (time: string) => `${formatDistanceStrict(parseISO(time), new Date())} ago`
const ahead = (time: string) =>
  parseISO(time) <= new Date() ? 'due' : `in ${formatDistanceStrict(parseISO(time), new Date())}`
</script>

<template>
  <section aria-label="scheduled checks">
    <div class="flex items-center gap-2">
      <h2 class="!text-base">Scheduled checks</h2>
      <button
        v-if="connectors && connectors.length > 0"
        type="button"
        class="button ml-auto"
        :disabled="polling !== '' || busy"
        @click="pollAll"
      >
        Check all now
      </button>
      <button
        type="button"
        class="button"
        :class="{ 'ml-auto': !connectors || connectors.length === 0 }"
        @click="adding = !adding"
      >
        Add a feed
      </button>
    </div>
    <ConnectorForm v-if="adding" :last="last" :sources="sources" class="mt-2" @added="added" />
    <table v-if="connectors && connectors.length > 0" class="ledger mt-2 bg-sheet">
      <thead>
        <tr>
          <th>source</th>
          <th>data</th>
          <th>last check</th>
          <th>result</th>
          <th>next</th>
          <th><span class="sr-only">actions</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="each in connectors" :key="each.id">
          <tr>
            <td class="align-top">{{ each.sourceName }}</td>
            <td class="align-top">
              {{ connectorKindNames[each.kind]
              }}<span class="figures block max-w-[300px] truncate text-xs text-soft" :title="each.url">{{
                each.url
              }}</span>
            </td>
            <td class="align-top">
              <template v-if="polling === each.id">checking…</template
              ><template v-else-if="each.polls[0]"
                >{{ ago(each.polls[0].startedAt) }}
                <span class="tag" :class="outcomeTone[each.polls[0].outcome]">{{
                  each.polls[0].outcome === 'cut-short' ? 'stopped early' : each.polls[0].outcome
                }}</span></template
              ><template v-else>not yet</template>
            </td>
            <td class="max-w-[280px] align-top">
              <template v-if="each.polls[0]"
                >{{ words(each.polls[0]) }}
                <button
                  v-if="each.polls[0].problems.length > 0 || each.polls.length > 1"
                  type="button"
                  class="quiet-button text-xs"
                  :aria-expanded="opened === each.id"
                  @click="opened = opened === each.id ? '' : each.id"
                >
                  {{ opened === each.id ? 'less' : 'more' }}
                </button></template
              >
              <span v-if="each.failures > 0" class="block text-xs text-waiting"
                >failed {{ each.failures }} {{ each.failures === 1 ? 'time' : 'times in a row' }}: checked
                less often</span
              >
            </td>
            <td class="align-top whitespace-nowrap">
              {{ each.paused ? 'paused' : ahead(each.dueAt)
              }}<span class="block text-xs text-soft"
                >every
                <input
                  :value="each.everyMinutes"
                  type="number"
                  min="5"
                  class="field figures !min-h-0 w-16 !px-1 !py-0"
                  :aria-label="`minutes between checks of ${each.sourceName}, ${connectorKindNames[each.kind]}`"
                  @change="
                    change(each.id, { everyMinutes: Number(($event.target as HTMLInputElement).value) })
                  "
                />
                min</span
              >
            </td>
            <td class="text-right align-top whitespace-nowrap">
              <button
                type="button"
                class="button !py-0.5"
                :disabled="polling !== ''"
                @click="run(() => pollOne(each.id))"
              >
                Check now
              </button>
              <button type="button" class="quiet-button" @click="change(each.id, { paused: !each.paused })">
                {{ each.paused ? 'resume' : 'pause' }}
              </button>
              <button
                type="button"
                class="quiet-button"
                :aria-label="`stop checking ${each.sourceName} for ${connectorKindNames[each.kind]}`"
                @click="remove(each.id)"
              >
                ×
              </button>
            </td>
          </tr>
          <tr v-if="opened === each.id">
            <td colspan="6" class="bg-paper text-[13px]">
              <p v-for="poll in each.polls" :key="poll.id" class="text-soft">
                {{ poll.startedAt.slice(0, 16).replace('T', ' ') }} · {{ words(poll) }}
              </p>
              <p v-for="(line, index) in each.polls[0]?.problems ?? []" :key="index">
                <span class="tag tag-waiting">{{ line.where }}</span> {{ line.reason }}
              </p>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-else-if="connectors" class="mt-2 text-soft">
      None yet. Tarvin can check a URL on a schedule: a feed of listings, or a CSV of past sales or shop
      prices.
    </p>
  </section>
</template>
