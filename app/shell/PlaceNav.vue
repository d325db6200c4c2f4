<script setup lang="ts">
import { addressOfPlace, placeOf, placesOf } from '#shared/places'

/** The places of a build in the order of the work, each with what is open in it. */
const build = useBuild()
const view = computed(() => build.view!)
const tones = { stop: 'text-stop', waiting: 'text-waiting', soft: 'text-soft' } as const
const rows = computed(() =>
  placesOf('build').map((key) => ({ key, ...placeOf(key), open: placeOf(key).badge?.(view.value) ?? null })),
)
</script>

<template>
  <nav
    class="w-[156px] shrink-0 border-r border-line py-2 max-md:flex max-md:w-full max-md:overflow-x-auto max-md:border-r-0 max-md:border-b max-md:py-0"
    aria-label="places of this build"
  >
    <NuxtLink
      v-for="{ key, name, open } in rows"
      :key="key"
      :to="addressOfPlace(key, view.id)"
      class="flex items-baseline justify-between gap-1 border-l-3 border-transparent py-[5px] pr-3 pl-3.5 max-md:border-b-3 max-md:border-l-0 max-md:px-3"
      active-class="!border-settled bg-sheet font-semibold"
    >
      <span>{{ name }}</span><span
        class="figures text-[11px] font-normal max-md:hidden"
        :class="open && tones[open.tone]"
        >{{ open?.note }}</span
      >
    </NuxtLink>
  </nav>
</template>
