<script setup lang="ts">
import { call } from '~/data/call'

/** The passphrase that is asked for where this is started for others in the network too. */
const { run, busy } = useAction()
const session = useSession()
const passphrase = ref('')
const signOut = (everywhere: '' | '1') =>
  run(async () => {
    await call('DELETE /api/session', { everywhere })
    location.assign('/sign-in')
  })
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
    <div v-if="session.view?.asksPassphrase" class="mt-2 flex gap-2">
      <button type="button" class="button" :disabled="busy" @click="signOut('')">Sign out</button>
      <button type="button" class="button" :disabled="busy" @click="signOut('1')">Sign out everywhere</button>
    </div>
  </section>
</template>
