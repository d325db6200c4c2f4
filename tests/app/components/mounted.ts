import { config, mount } from '@vue/test-utils'
import { createPinia } from 'pinia'
import { defineComponent, h, type Component } from 'vue'
import { useDraftForm } from '~/composables/useDraftForm'
import type { AnyObject, ObjectSchema } from 'yup'

// every component by its name, as the application registers them
const files = import.meta.glob<{ default: Component }>('../../../app/{ui,places,shell}/**/*.vue')

/** Registers components of the application for templates, the table of every place among them; once before mounting. */
export async function registerComponents(names: readonly string[]): Promise<void> {
  for (const name of ['DataTable', ...names]) {
    const path = Object.keys(files).find((each) => each.endsWith(`/${name}.vue`))
    if (!path) throw new Error(`no component ${name}`)
    config.global.components[name] = (await files[path]!()).default
  }
}

/** A component with what the application gives it: a store of its own. */
export function mounted(component: Component, props: AnyObject = {}) {
  return mount(component, { props, global: { plugins: [createPinia()] }, attachTo: document.body })
}

/** A form on a schema with some fields in it, and the form itself to look into. */
export function mountForm<T extends AnyObject>(
  options: {
    key?: string | null
    schema: ObjectSchema<T>
    initial: T
    load?: () => Promise<T>
    isSaved?: boolean
    save?: (body: T, was: string | undefined) => Promise<unknown>
  },
  fields: () => ReturnType<typeof h>[],
) {
  let form!: ReturnType<typeof useDraftForm<T>>
  const wrapper = mount(
    defineComponent({
      setup() {
        form = useDraftForm<T>({ key: null, save: async () => undefined, ...options })
        return () => h('form', fields())
      },
    }),
    { attachTo: document.body },
  )
  return { wrapper, form }
}
