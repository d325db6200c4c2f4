/**
 * Why there is no estimate, as a sentence: what is missing from the machine, what is not known of it, or that nothing was
 * asked for. Empty where there is one.
 *
 * @param targets the targets of the brief, each with what its estimate still lacks (`frameMachineOf`)
 * @example noEstimate([{ missing: ['a graphics card'] }]) // 'No estimate yet: the build has no graphics card.'
 */
export function noEstimate(targets: readonly { readonly missing: readonly string[] }[]): string {
  const [first] = targets
  if (!first) return 'No estimate: the brief has no targets.'
  const { missing } = first
  if (missing.length === 0) return ''
  const lacking = missing.flatMap((each) => /^an? (.*)$/.exec(each)?.[1] ?? [])
  const unknown = missing.filter((each) => !/^an? /.test(each))
  const said = [
    ...(lacking.length > 0 ? [`the build has no ${lacking.join(' and no ')}`] : []),
    ...(unknown.length > 0
      ? [`${unknown.join(' and ')} ${unknown.length === 1 ? 'is' : 'are'} not known`]
      : []),
  ]
  return `No estimate yet: ${said.join(', and ')}.`
}
