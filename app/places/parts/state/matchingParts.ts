import { partLabel, roleNames, type Part } from '#core/parts/part'

/** The parts whose name or role has every word that was typed, at most `most`; nothing typed finds nothing. */
export function matchingParts(parts: readonly Part[], typed: string, most = 10): Part[] {
  const words = typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  if (words.length === 0) return []
  const found: Part[] = []
  for (const part of parts) {
    const said = `${partLabel(part)} ${roleNames[part.role]}`.toLowerCase()
    if (words.every((word) => said.includes(word))) found.push(part)
    if (found.length === most) break
  }
  return found
}
