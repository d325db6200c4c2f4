<script setup lang="ts">
import { connectorKindNames, connectorSchema, type ConnectorInput } from '#shared/sources/schemas'
import type { LibraryView } from '#shared/parts/views'
import { call } from '~/data/call'

/** An address that is asked on a schedule: whose it is, what it gives, how often. */
const { sources, last } = defineProps<{ sources: LibraryView['sources']; last: ConnectorInput | null }>()
const emit = defineEmits<{ added: [id: string, connector: ConnectorInput] }>()
const form = useDraftForm<ConnectorInput>({
  key: 'tarvin-connector-new',
  schema: connectorSchema as never,
  initial: {
    ...(last ?? { sourceId: '', kind: 'lead-feed', everyMinutes: 60, allowPrivate: false }),
    url: '',
  },
  async save(body) {
    const { id } = await call('POST /api/sources/connectors', {}, body)
    emit('added', id, body)
  },
})
const { failure, busy } = form
</script>

<template>
  <form class="sheet flex flex-wrap items-end gap-3 p-3" novalidate @submit.prevent="form.submit">
    <ChoiceField
      name="sourceId"
      label="source"
      spoken="source of the feed"
      placeholder="choose"
      :options="sources.map(({ id, name }) => [id, name] as const)"
      class="w-40"
    />
    <ChoiceField name="kind" label="data type" :options="connectorKindNames" />
    <TextField name="url" label="URL" placeholder="https://…" class="w-96" />
    <NumberField
      name="everyMinutes"
      label="check every, minutes"
      spoken="minutes between checks"
      :min="5"
      :step="1"
      class="w-28"
    />
    <TickField
      name="allowPrivate"
      label="it is on this computer or network"
      class="pb-1.5"
      title="Private and loopback addresses are otherwise blocked, so that a page from outside cannot make this computer call itself."
    />
    <button type="submit" class="button button-main" :disabled="busy">Add and check</button>
    <p v-if="failure" class="w-full text-stop" role="alert">{{ failure }}</p>
  </form>
</template>
