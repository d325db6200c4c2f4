<script setup lang="ts">
import { useLocalStorage, useMediaQuery } from '@vueuse/core'

/** A build: its places on the left, the receipt along the foot. */
const route = useRoute()
const build = useBuild()
const slipOpen = useLocalStorage('tarvin-slip', false)
const isWide = useMediaQuery('(min-width: 1600px)')
const pinned = computed(() => slipOpen.value || (isWide.value && String(route.path).endsWith('/machine')))
const id = String(route.params.id)
build.open(id)
onBeforeUnmount(() => build.close(id))
const failed = computed(() => build.asked.error)
const { run, busy } = useAction()
/** A build that is over has an account, a brief and prices; nothing else of it is judged. */
const isOver = computed(
  () =>
    (build.view?.state === 'sold' || build.view?.state === 'apart') &&
    /\/b\/[^/]+(\/(machine|bench|plan|scales)?)?$/.test(route.path),
)
useKeys({ R: () => (slipOpen.value = !slipOpen.value) })
</script>

<template>
  <div v-if="failed && !build.view" class="flex flex-wrap items-baseline gap-3 p-8" role="alert">
    <p class="text-stop">{{ failed.message }}</p>
    <button type="button" class="button" :disabled="busy" @click="run(() => build.asked.retry())">
      Try again</button
    ><NuxtLink to="/" class="quiet-button">All builds</NuxtLink>
  </div>
  <div v-else-if="build.view" class="flex h-full flex-col">
    <div class="flex min-h-0 flex-1 max-md:flex-col">
      <PlaceNav />
      <main class="@container/place min-h-0 min-w-0 flex-1 overflow-y-auto">
        <WhatItWas v-if="isOver" :key="build.view.id" /><NuxtPage v-else />
      </main>
      <ReceiptSlip
        v-if="pinned"
        class="max-xl:fixed max-xl:top-11 max-xl:right-0 max-xl:bottom-[46px] max-xl:z-20 max-md:inset-x-0 max-md:w-full"
      />
    </div>
    <ReceiptStrip :open="pinned" @toggle="slipOpen = !slipOpen" />
  </div>
  <p v-else class="p-8 text-soft" role="status">Loading…</p>
</template>
