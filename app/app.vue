<script setup lang="ts">
import { Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'

const session = useSession()
const failed = ref('')
/** A paste that was kept, or taken back, may touch every place: what is open is read anew. */
const kept = useKeptPastes()
onMounted(() => session.load().catch((error: Error) => (failed.value = error.message)))
useTheme()
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar />
    <p v-if="failed" class="tag-stop p-4" role="alert">{{ failed }}</p>
    <div class="min-h-0 flex-1">
      <NuxtPage v-if="session.view" :key="kept" />
    </div>
    <WorkingSheet />
    <SearchPalette v-if="session.view" />
    <PasteSheet v-if="session.view" />
    <MissingRate v-if="session.view" @saved="kept += 1" />
    <Toaster position="bottom-left" :offset="64" theme="light" />
  </div>
</template>
