import { call } from '~/data/call'

const elsewhere: Readonly<Record<string, string>> = {
  'tarvin-backup': 'a backup: restore it in Settings',
  'tarvin-edition': 'an edition of a build: open it in that build’s Compare',
}

/**
 * Opens a file that Tarvin wrote: a build, or a library of parts. What is there already stays as it was.
 *
 * @returns the page that shows what came
 */
export async function openTarvinFile(text: string, name: string): Promise<string> {
  let parsed: { readonly format?: string }
  try {
    parsed = JSON.parse(text) as typeof parsed
  } catch {
    throw new Error(`${name} is not JSON; choose a file exported from Tarvin`)
  }
  const { format = '' } = parsed
  if (elsewhere[format]) throw new Error(`${name} is ${elsewhere[format]}`)
  if (format === 'tarvin-library') {
    await call('POST /api/library/import', {}, parsed as never)
    return '/parts'
  }
  const { id } = await call('POST /api/builds/import', {}, parsed as never)
  return `/b/${id}/machine`
}
