<script setup lang="ts">
import type { NuxtError } from '#app'

/** An address that no page answers, or a page that failed: what happened, and the ways on. */
const { error } = defineProps<{ error: NuxtError }>()
const isUnknown = computed(() => error.status === 404)
useTheme()
useHead({ title: 'Tarvin' })
const home = () => clearError({ redirect: '/' })
const again = () => location.reload()
</script>

<template>
  <main class="mx-auto max-w-[640px] px-6 py-16" role="alert">
    <h1>{{ isUnknown ? 'There is no page at this address' : 'This page could not be shown' }}</h1>
    <p class="mt-2 text-soft">
      {{
        isUnknown
          ? 'Check the address, or start from your builds. Nothing was changed.'
          : 'Nothing was changed. Try again; if it happens again, start from your builds.'
      }}
    </p>
    <p class="mt-4 flex gap-2">
      <button type="button" class="button button-main" @click="home">All builds</button
      ><button v-if="!isUnknown" type="button" class="button" @click="again">Try again</button>
    </p>
  </main>
</template>
