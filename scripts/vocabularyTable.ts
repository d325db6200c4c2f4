import { laneCounts, m2Lengths, vocabularies } from '#core/parts/vocabularies'

/** The sets of answers of the facts that are compared as such, as Markdown. */
export function vocabularyTable(): string {
  const rows = Object.entries(vocabularies).map(
    ([fact, answers]) => `| \`${fact}\` | ${Object.keys(answers).join(', ')} |`,
  )
  return [
    '| fact | answers |',
    '| --- | --- |',
    ...rows,
    `| \`m2LengthMm\` | ${m2Lengths.join(', ')} (the last digits of 2230 to 22110) |`,
    `| \`lanes\` | ${laneCounts.join(', ')} |`,
    '',
  ].join('\n')
}
