import { asTyped } from '../app/places/settings/state/assumptionRows'
import type { Assumption } from '../core/assumptions/assumption'
import { assumptionGroups } from '../core/assumptions/assumptions'
import { moneyGroup } from '../core/assumptions/money'

/** Every assumption as Markdown, from the code. */
export function assumptionsTable(): string {
  const groups = Object.entries(assumptionGroups).map(([group, { name, figures }]) =>
    [
      `## ${name}`,
      '',
      '| key | figure | default | range | a change | source |',
      '| --- | --- | --- | --- | --- | --- |',
      ...Object.entries(figures as Record<string, Assumption>).map(
        ([key, each]) =>
          `| \`${group}.${key}\` | ${each.name} | ${withUnit(each, each.default)} | ` +
          `${withUnit(each, each.min)} to ${withUnit(each, each.max)} | ${each.moves} | ` +
          `${each.source} |`,
      ),
      '',
    ].join('\n'),
  )
  const money = Object.entries(moneyGroup).map(
    ([key, each]) =>
      `| \`${key}\` | ${each.name} | ${each.size}${each.per === '' ? '' : ` per ${each.per}`} | ${each.moves} | ${each.source} |`,
  )
  return [
    '# Assumptions',
    '',
    'Every figure nobody measured, by its one home in `core/assumptions/groups/`. All can be changed in *Settings*.',
    'Written by `npm run docs`; a test holds it to the code.',
    '',
    ...groups,
    '## Money',
    '',
    'A default is a size, stated again in each currency by ' +
      '`core/assumptions/moneySize.ts` (8 is 8.00 in CAD, 80.00 in SEK, 800 in JPY).',
    '',
    '| key | figure | default | a change | source |',
    '| --- | --- | --- | --- | --- |',
    ...money,
    '',
  ].join('\n')
}

function withUnit(assumption: Assumption, value: number): string {
  return `${asTyped(assumption, value)} ${assumption.unit}`.trim()
}
