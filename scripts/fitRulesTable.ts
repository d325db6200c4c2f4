import { factKinds } from '../core/parts/facts'
import { roleNames } from '../core/parts/part'
import { fitRules } from '../core/machine/fit/rules'
import { fitAreas } from '../core/machine/fit/rule'

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
    ].join('\n')
  })
  return `# The fit check\n\n${fitRules.length} rules, one file each in \`core/machine/fit/rules/\`. Written by \`npm run docs\`; a test holds it to the code.\n\n${areas.join('\n')}`
}
