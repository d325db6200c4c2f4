/**
 * Whether one slip of the fingers makes `typed` out of `meant`: two neighbouring letters swapped, one left out, one
 * too many, or, in words of seven letters or more, one wrong. The first letter must be right: people rarely miss it,
 * and many different words differ only there. Words under five letters are never forgiven.
 *
 * @example oneSlip('sallowfen', 'sallwofen') // true
 * @example oneSlip('stook', 'stock') // false: too short for a wrong letter
 */
export function oneSlip(meant: string, typed: string): boolean {
  if (meant.length < 5 || meant[0] !== typed[0] || meant === typed) return false
  const difference = typed.length - meant.length
  if (Math.abs(difference) > 1) return false
  let at = 1
  while (at < meant.length && meant[at] === typed[at]) at += 1
  if (difference === 1) return meant.slice(at) === typed.slice(at + 1)
  if (difference === -1) return meant.slice(at + 1) === typed.slice(at)
  const swapped =
    meant[at] === typed[at + 1] && meant[at + 1] === typed[at] && meant.slice(at + 2) === typed.slice(at + 2)
  return swapped || (meant.length >= 7 && meant.slice(at + 1) === typed.slice(at + 1))
}
