<script setup lang="ts">
import type { BriefInput } from '#shared/brief/schemas'
import type { BuildView } from '#shared/builds/views'
import { request } from '~/utils/request'

/** Brief: what is it for, what may it cost, what must it reach? */
const build = useBuild()
const session = useSession()
const id = build.view!.id
const cap = useTemplateRef<{ load: () => Promise<void> }>('cap')
const initial = ref<BriefInput | null>(null)
onMounted(async () => (initial.value = await request<BriefInput>(`/api/builds/${id}/brief`)))

async function save(brief: BriefInput, was: string | undefined) {
  let tag: string | undefined
  const renamed = brief.name !== build.view!.name
  build.take(
    await request<BuildView>(`/api/builds/${id}/brief`, {
      method: 'PUT',
      body: brief,
      was,
      onTag: (saved) => (tag = saved),
    }),
    'brief',
  )
  if (renamed) await session.load()
  await cap.value?.load()
  return tag
}
</script>

<template>
  <div class="px-6 py-4">
    <h1 class="mb-4">Brief</h1>
    <CapLine ref="cap" class="mb-4" />
    <BriefForm
      v-if="initial"
      :storage-key="`tarvin-brief-${id}`"
      :initial="initial"
      :workloads="build.view!.workloads"
      :save="save"
    />
  </div>
</template>
