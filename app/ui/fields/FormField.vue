<script setup lang="ts">
/**
 * A labelled field with its description and its message. The first control in the slot is bound to both: the label
 * names it, the note describes it, a problem marks it invalid. `bare`: the label is only spoken.
 */
const { label, spoken, bare, problem, hint } = defineProps<{
  label: string
  spoken?: string | undefined
  bare?: boolean | undefined
  problem?: string | undefined
  hint?: string | undefined
}>()
defineSlots<{ default(): unknown }>()
const id = useId()
const root = useTemplateRef('root')
const spokenName = computed(() => spoken ?? (bare ? label : undefined))

function bind() {
  const control = root.value?.querySelector('input, select, textarea')
  if (!control) return
  control.id ||= id
  const visible = root.value!.querySelector('label')
  if (visible) visible.htmlFor = control.id
  if (spokenName.value) control.setAttribute('aria-label', spokenName.value)
  if (problem) control.setAttribute('aria-invalid', 'true')
  else control.removeAttribute('aria-invalid')
  if (problem || hint) control.setAttribute('aria-describedby', `${id}-note`)
  else control.removeAttribute('aria-describedby')
}
onMounted(bind)
onUpdated(bind)
watch([() => problem, () => hint, spokenName], bind, { flush: 'post' })
</script>

<template>
  <div ref="root" class="flex min-w-0 flex-col">
    <label v-if="!bare" class="text-xs text-soft">{{ label }}</label>
    <slot />
    <p v-if="problem" :id="`${id}-note`" class="text-xs text-stop" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-note`" class="text-xs text-soft">{{ hint }}</p>
  </div>
</template>
