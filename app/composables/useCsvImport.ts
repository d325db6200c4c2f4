import { sendFile } from '~/utils/request'

interface CsvReport {
  readonly added: number
  readonly alreadyThere: number
  readonly rejected: number
  readonly problems: readonly { readonly line: number; readonly reason: string }[]
}

const mostTold = 5

/** A CSV chosen from the disk and sent to an import route; what came of it in a line, rejected lines by number and reason. */
export function useCsvImport(
  path: () => string,
  after: () => Promise<unknown>,
  mapping: () => Record<string, unknown> = () => ({}),
) {
  const { run } = useAction()
  const report = ref('')
  async function take(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    await run(async () => {
      const { added, alreadyThere, rejected, problems } = await sendFile<CsvReport>(path(), file, mapping())
      report.value = `${file.name}: ${added} added, ${alreadyThere} already there, ${rejected} rejected${problems
        .slice(0, mostTold)
        .map((problem) => `; line ${problem.line}: ${problem.reason}`)
        .join('')}`
      await after()
    })
    input.value = ''
  }
  return { report: readonly(report), take }
}
