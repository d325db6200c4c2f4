<script setup lang="ts">
import { call } from '~/data/call'

/** The passphrase that is asked for where this is started for others in the network too. */
const { run, busy } = useAction()
const passphrase = ref('')
const set = () =>
  run(
    async () => {
      await call('PUT /api/settings/passphrase', {}, { passphrase: passphrase.value })
      passphrase.value = ''
    },
    { message: 'Passphrase set' },
  )
</script>

<template>
  <section aria-label="Passphrase" class="sheet p-3">
    <h2>Passphrase</h2>
    <p class="mt-1 max-w-[72ch] text-soft">
      No passphrase is asked for on this computer. When started for the network (HOST), Tarvin asks everyone
      for it.
    </p>
    <form class="mt-2 flex items-end gap-2" @submit.prevent="set">
      <FormField label="new passphrase (at least 8 characters)">
        <input v-model="passphrase" type="password" class="field w-72" autocomplete="new-password" />
      </FormField>
      <button type="submit" class="button" :disabled="busy || passphrase.trim().length < 8">Set</button>
    </form>
  </section>
</template>
