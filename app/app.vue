<script setup lang="ts">
import { Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'

const session = useSession()
const pasted = usePastedText()
const working = useWorkingSheet()
const missing = useMissingRate()
const search = useSearch()
const hasWorking = useEver(() => working.working !== null)
const hasPaste = useEver(() => pasted.value !== null)
const hasMissing = useEver(() => missing.pair !== null)
const hasSearch = useEver(() => search.value)
// what a store reads from the server is asked for as long as the component lives that called it first
useBuild()
useTheme()
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar />
    <FailedBar />
    <div class="min-h-0 flex-1">
      <NuxtPage v-if="session.view" />
    </div>
    <LazyWorkingSheet v-if="hasWorking" />
    <LazySearchPalette v-if="session.view && hasSearch" />
    <KeyList />
    <LazyPasteSheet v-if="session.view && hasPaste" />
    <LazyMissingRate v-if="session.view && hasMissing" />
    <Toaster
      position="bottom-left"
      :offset="64"
      theme="light"
      :toast-options="{ style: { fontFamily: 'var(--text)' } }"
    />
  </div>
</template>
