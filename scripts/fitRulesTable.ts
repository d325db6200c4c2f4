import { factKinds } from '../core/parts/facts'
import { roleNames } from '../core/parts/part'
import { fitRules } from '../core/machine/fit/rules'
import { checkFit } from '../core/machine/fit/checkFit'
import { fitAreas } from '../core/machine/fit/rule'
import { cases, machinesOf } from '../tests/core/machine/fit/ruleCases'

/** What a rule says of its cases in the tests; it passes in the sound machine, which is what both are changed from. */
function casesOf(id: string): { readonly found: string; readonly open: string } {
  const each = cases[id]!
  const { clashes, open } = machinesOf(id, each)
  const report = (parts: typeof clashes) => checkFit({ parts, ...(each.brief ? { brief: each.brief } : {}) })
  return {
    found: report(clashes).findings.find(({ ruleId }) => ruleId === id)!.what,
    open: open
      ? report(open).cannotCheck.find(({ ruleId }) => ruleId === id)!.what
      : 'nothing that can be missing',
  }
}

/** The rules of the fit check as Markdown, from the code: what each asks, how grave it is, which facts it must know. */
export function fitRulesTable(): string {
  const areas = fitAreas.map((area) => {
    const rules = fitRules.filter((rule) => rule.area === area)
    const reads = (rule: (typeof rules)[number]) =>
      rule.reads
        .filter(({ facts }) => facts.length > 0)
        .map(
          ({ role, facts }) => `${roleNames[role]}: ${facts.map((fact) => factKinds[fact].name).join(', ')}`,
        )
        .join('; ')
    return [
      `## ${area[0]!.toUpperCase()}${area.slice(1)}`,
      '',
      '| rule | asks | a clash | must know |',
      '| --- | --- | --- | --- |',
      ...rules.map(
        (rule) => `| \`${rule.id}\` | ${rule.question} | ${rule.severity} | ${reads(rule) || 'nothing'} |`,
      ),
      '',
      '| rule | found: one thing of the sound machine changed | cannot check: one fact taken away |',
      '| --- | --- | --- |',
      ...rules.map(({ id }) => {
        const { found, open } = casesOf(id)
        return `| \`${id}\` | ${found} | ${open} |`
      }),
      '',
    ].join('\n')
  })
  return (
    `# The fit check\n\n${fitRules.length} rules, one file each in ` +
    '`core/machine/fit/rules/`. Each has three cases: it passes in the sound machine ' +
    'of the tests, is found where one thing of it is changed, and says what it cannot ' +
    'check where one fact is missing. Where what is known decides whatever the missing ' +
    'fact is, it answers all the same. Written by `npm run docs`; a test holds it to ' +
    `the code.\n\n${areas.join('\n')}`
  )
}
