import { toast } from 'vue-sonner'
import { RequestError } from '~/data/requestError'
import { refreshed } from '~/data/refreshAll'

/** Runs an action of the builder: a refusal is told in the server's own words, nothing is lost; `undo` is offered where given. */
export function useAction() {
  const busy = ref(false)
  async function run(
    action: () => Promise<unknown>,
    done?: { message: string; undo?: () => Promise<unknown> },
  ): Promise<boolean> {
    busy.value = true
    try {
      await action()
      // what is told to be done is shown by then
      await refreshed()
      const undo = done?.undo
      if (done) toast(done.message, undo ? { action: { label: 'Undo', onClick: () => void run(undo) } } : {})
      return true
    } catch (error) {
      const told = error instanceof Error ? error.message : String(error)
      // the way on stands beside the refusal
      toast.error(
        told,
        error instanceof RequestError && error.code === 'no-rate'
          ? {
              action: {
                label: 'Set the exchange rate',
                onClick: () => useMissingRate().openFor(error.params),
              },
            }
          : {},
      )
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy: readonly(busy), run }
}
