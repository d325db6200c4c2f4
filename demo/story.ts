import type { PlanView } from '../shared/plan/views'
import loadHighs from 'highs'
import { adviceWords } from '../core/files/advice/adviceSheet'
import { planBuild, type PlanCarriedOut } from '../core/planning/planBuild'
import { frameLogHead, readFrameLog } from '../core/reading/frames/frameLogFile'
import { readSolution, solverOptions } from '../core/planning/readSolution'
import { demoStory } from './builds'
import type { Ask } from './asking'

/** What has happened since the builds were begun: variants, editions, advice, a plan that was taken, logs that were kept. */
export async function loadStory(
  ask: Ask,
  builds: ReadonlyMap<string, string>,
  files: Readonly<Record<string, string>>,
): Promise<void> {
  for (const { of, name, brief, without, hunts } of demoStory.variants) {
    const { id } = await ask(`/api/builds/${builds.get(of)!}/variants`, { name })
    if (brief) {
      const before = await ask(`/api/builds/${id}/brief`)
      await ask(`/api/builds/${id}/brief`, { ...before, ...brief, name }, 'PUT', before)
    }
    const { choices } = await ask(`/api/builds/${id}`)
    for (const choice of choices as { id: string; label: string }[])
      if (without.some((words) => choice.label.includes(words)))
        await ask(`/api/machine/choices/${choice.id}?in=${id}`, undefined, 'DELETE')
    for (const hunt of hunts)
      await ask(`/api/builds/${id}/machine/choices`, { kind: 'hunt', scope: 'core', reason: '', ...hunt })
  }
  for (const { of, ...edition } of demoStory.editions)
    await ask(`/api/builds/${builds.get(of)!}/editions`, edition)
  for (const { of, by, remarks } of demoStory.advice)
    await ask(`/api/builds/${builds.get(of)!}/machine/advice`, { text: sheetOf(of, by, remarks) })
  await takePlan(ask, builds.get(demoStory.plan.of)!, demoStory.plan.name)
  await keepLogs(ask, [...builds.values()][0]!, files)
}

/** An adviser's sheet as it came back. */
function sheetOf(
  name: string,
  by: string,
  remarks: readonly { readonly line: string; readonly remark: string; readonly instead: string }[],
): string {
  return [
    `Advice on ${name}, as of today`,
    `From: ${by}`,
    '',
    ...remarks.flatMap(({ line, remark, instead }, at) => [
      line === '' ? adviceWords.all : `${at + 1}. ${line}`,
      `   remark: ${remark}`,
      `   instead: ${instead}`,
      '',
    ]),
  ].join('\n')
}

/** The cheapest plan of a build, opened as a variant. */
async function takePlan(ask: Ask, id: string, name: string): Promise<void> {
  const { question, ...view } = (await ask(`/api/builds/${id}/plan`)) as PlanView
  const highs = await loadHighs()
  const plan = await planBuild(
    question,
    (program) => readSolution(highs.solve(program, solverOptions(20) as Parameters<typeof highs.solve>[1])),
    (ids) => ask(`/api/builds/${id}/plan/price`, ids) as Promise<PlanCarriedOut>,
  )
  if (plan.kept.length === 0) return
  await ask(`/api/builds/${id}/plan/take`, {
    ways: plan.ways.map((way) => way.id),
    without: plan.without,
    present: view.present,
    into: 'variant',
    name,
  })
}

/** A log as its page sends it: 32-bit floats, one a frame. */
function floats(text: string): Uint8Array {
  const { proposal } = frameLogHead(text)
  return new Uint8Array(Float32Array.from(readFrameLog(text, proposal!).timesMs).buffer)
}

/** Frame logs go with runs that have none. */
async function keepLogs(ask: Ask, id: string, files: Readonly<Record<string, string>>): Promise<void> {
  const { runs } = (await ask(`/api/builds/${id}/bench`)) as {
    runs: readonly { id: string; logs: readonly unknown[] }[]
  }
  const logs = Object.entries(files).filter(([name]) => name.startsWith('frames-'))
  for (const [index, [name, text]] of logs.slice(0, 4).entries())
    await ask(`/api/bench/runs/${runs[index]!.id}/log?name=${name}`, floats(text), 'PUT')
}
