import type { ImportReport } from '#shared/files/importReport'
import type { CallName, ParamsOf } from '#shared/calls'
import { sendFile } from '~/data/call'

type ImportName = Extract<CallName, `POST ${string}/import`>

const mostTold = 5

/** A CSV chosen from the disk and sent to an import route; the result in a line, rejected lines by number and reason. */
export function useCsvImport<const Name extends ImportName>(
  name: Name,
  params: () => ParamsOf<Name>,
  after: () => unknown = () => undefined,
) {
  const { run } = useAction()
  const report = ref('')
  async function take(event: Event) {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (!file) return
    await run(async () => {
      const { added, alreadyThere, rejected, problems } = (await sendFile(
        name,
        params(),
        file,
      )) as ImportReport
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
