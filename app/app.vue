<script setup lang="ts">
import { Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'

const session = useSession()
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
    <WorkingSheet />
    <SearchPalette v-if="session.view" />
    <KeyList />
    <PasteSheet v-if="session.view" />
    <MissingRate v-if="session.view" />
    <Toaster
      position="bottom-left"
      :offset="64"
      theme="light"
      :toast-options="{ style: { fontFamily: 'var(--text)' } }"
    />
  </div>
</template>
