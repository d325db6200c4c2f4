import { toast } from 'vue-sonner'

/** Runs a action of the builder: a refusal is told in the server's own words, nothing is lost; `undo` is offered where given. */
export function useAction() {
  const busy = ref(false)
  async function run(
    action: () => Promise<unknown>,
    done?: { message: string; undo?: () => Promise<unknown> },
  ): Promise<boolean> {
    busy.value = true
    try {
      await action()
      const undo = done?.undo
      if (done) toast(done.message, undo ? { action: { label: 'Undo', onClick: () => void run(undo) } } : {})
      return true
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error))
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy: readonly(busy), run }
}
