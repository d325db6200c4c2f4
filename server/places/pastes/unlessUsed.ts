import { CoreError } from '#core/errors/coreError'

/** What something else points to by now cannot be deleted, and says so. */
export async function unlessUsed(what: string, remove: () => Promise<unknown>): Promise<void> {
  try {
    await remove()
  } catch (error) {
    throw new CoreError('paste-used', { what }, 'paste', { cause: error })
  }
}
