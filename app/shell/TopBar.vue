<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import { longDate } from '~/utils/show'
import { places, placesOf } from '#shared/places'

const session = useSession()
const build = useBuild()
const route = useRoute()
const { theme, toggle } = useTheme()
const current = computed(() =>
  typeof route.params.id === 'string'
    ? session.view?.builds.find((each) => each.id === route.params.id)
    : undefined,
)
const libraries = placesOf('house')
  .filter((key) => key !== 'builds' && key !== 'new')
  .map((key) => [places[key].path, places[key].name] as const)
const exports = [
  ['json', 'JSON'],
  ['csv', 'CSV of parts'],
  ['md', 'Markdown'],
] as const
const search = useSearch()
const openSearch = () => (search.value = true)
</script>

<template>
  <header class="flex h-11 shrink-0 items-center gap-4 border-b border-ink px-4 max-sm:gap-2 max-sm:px-3">
    <NuxtLink
      to="/"
      class="flex w-[118px] shrink-0 items-center gap-2 text-[17px] font-semibold max-sm:w-auto"
      ><img src="/mark.svg" alt="" class="size-[18px]" /><span class="max-sm:sr-only">tarvin</span></NuxtLink
    >
    <Menu as="div" class="relative min-w-0">
      <MenuButton class="flex max-w-full items-baseline gap-2">
        <span class="truncate text-[15px] font-semibold lg:shrink-0">{{
          current?.name ?? 'All builds'
        }}</span>
        <span
          v-if="current && build.view?.id === current.id"
          class="min-w-0 truncate text-xs text-soft max-lg:hidden"
          >{{ build.view.purpose
          }}<template v-if="build.view.wantedBy">
            · due
            {{
              longDate(build.view.wantedBy)
                .replace(/^\w+ /, '')
                .replace(/ \d{4}$/, '')
            }}</template
          ></span
        >
        <ChevronDown :size="14" class="shrink-0 self-center" />
      </MenuButton>
      <MenuItems class="sheet absolute left-0 z-30 mt-1 w-72 py-1">
        <MenuItem v-for="each in session.view?.builds" :key="each.id" v-slot="{ active }"
          ><NuxtLink
            :to="`/b/${each.id}/machine`"
            class="block px-3 py-1.5"
            :class="{ 'bg-paper': active }"
            >{{ each.name }}</NuxtLink
          ></MenuItem
        >
        <MenuItem v-slot="{ active }"
          ><NuxtLink to="/" class="block border-t border-line px-3 py-1.5" :class="{ 'bg-paper': active }"
            >All builds</NuxtLink
          ></MenuItem
        >
        <MenuItem v-slot="{ active }"
          ><NuxtLink to="/new" class="block px-3 py-1.5" :class="{ 'bg-paper': active }"
            >New build…</NuxtLink
          ></MenuItem
        >
      </MenuItems>
    </Menu>
    <Menu v-if="current" as="div" class="relative max-md:hidden">
      <MenuButton class="flex items-center gap-1 text-[13px]">Share <ChevronDown :size="14" /></MenuButton>
      <MenuItems class="sheet absolute left-0 z-30 mt-1 w-56 py-1">
        <MenuItem v-for="[as, name] in exports" :key="as" v-slot="{ active }"
          ><a
            class="block px-3 py-1.5"
            :class="{ 'bg-paper': active }"
            :href="`/api/builds/${current.id}/export?as=${as}`"
            download
            >Export {{ name }}</a
          ></MenuItem
        >
        <MenuItem v-slot="{ active }"
          ><NuxtLink
            :to="`/b/${current.id}/scales?mode=editions`"
            class="block border-t border-line px-3 py-1.5"
            :class="{ 'bg-paper': active }"
            >Share an edition…</NuxtLink
          ></MenuItem
        >
      </MenuItems>
    </Menu>
    <button
      type="button"
      class="field ml-auto flex w-[250px] shrink-0 items-center justify-between !py-0.5 text-soft max-md:w-auto"
      @click="openSearch"
    >
      <span class="max-md:hidden">Find a part, lead or place…</span><span class="md:hidden">Find</span
      ><span class="key max-md:hidden">Ctrl K</span>
    </button>
    <PasteButton v-if="session.view" />
    <span
      class="figures text-[13px] whitespace-nowrap text-soft max-md:hidden"
      title="the date Tarvin uses as today"
      >{{ session.view ? longDate(session.view.today) : '' }}</span
    >
    <Menu as="div" class="relative">
      <MenuButton class="flex items-center gap-1">Libraries <ChevronDown :size="14" /></MenuButton>
      <MenuItems class="sheet absolute right-0 z-30 mt-1 w-44 py-1">
        <MenuItem v-for="[to, name] in libraries" :key="to" v-slot="{ active }"
          ><NuxtLink :to="to" class="block px-3 py-1.5" :class="{ 'bg-paper': active }">{{
            name
          }}</NuxtLink></MenuItem
        >
        <MenuItem v-slot="{ active }"
          ><button
            type="button"
            class="block w-full border-t border-line px-3 py-1.5 text-left"
            :class="{ 'bg-paper': active }"
            @click="toggle()"
          >
            {{ theme === 'lamp' ? 'Light' : 'Dark' }} theme
          </button></MenuItem
        >
      </MenuItems>
    </Menu>
  </header>
</template>
