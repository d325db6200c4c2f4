import { ValidationError, type Schema } from 'yup'
import type { LibraryView } from '#shared/parts/views'
import { request } from '~/utils/request'

/**
 * A library page with a form that adds to it: loads the library, checks what is typed by the schema of the route,
 * sends it, loads anew. `problem` holds the first thing that is wrong; what is typed stays until it is in.
 */
export function useAddForm(route: { path: string; method: 'POST' | 'PUT' }, schema: Schema) {
  const { run } = useAction()
  const library = ref<LibraryView | null>(null)
  const adding = ref(false)
  const problem = ref('')
  const load = async () => (library.value = await request<LibraryView>('/api/library'))
  onMounted(() => run(load))

  async function add(typed: unknown, message: string): Promise<boolean> {
    problem.value = ''
    let body: unknown
    try {
      body = schema.validateSync(typed)
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error
      problem.value = error.message
      return false
    }
    return run(
      async () => {
        await request(route.path, { method: route.method, body })
        await load()
      },
      { message },
    )
  }
  return { library: readonly(library), adding, problem: readonly(problem), add }
}
