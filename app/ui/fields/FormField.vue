<script setup lang="ts">
/**
 * A labelled field with its description and its message. The first control in the slot is bound to both: the label
 * names it, the note describes it, a problem marks it invalid.
 */
const { label, problem, hint } = defineProps<{
  label: string
  problem?: string | undefined
  hint?: string | undefined
}>()
defineSlots<{ default(): unknown }>()
const id = useId()
const root = useTemplateRef('root')

function bind() {
  const control = root.value?.querySelector('input, select, textarea')
  if (!control) return
  control.id ||= id
  root.value!.querySelector('label')!.htmlFor = control.id
  control.toggleAttribute('aria-invalid', Boolean(problem))
  if (problem) control.setAttribute('aria-invalid', 'true')
  if (problem || hint) control.setAttribute('aria-describedby', `${id}-note`)
  else control.removeAttribute('aria-describedby')
}
onMounted(bind)
onUpdated(bind)
watch(() => [problem, hint], bind, { flush: 'post' })
</script>

<template>
  <div ref="root" class="flex min-w-0 flex-col">
    <label class="text-xs text-soft">{{ label }}</label>
    <slot />
    <p v-if="problem" :id="`${id}-note`" class="text-xs text-stop" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-note`" class="text-xs text-soft">{{ hint }}</p>
  </div>
</template>
