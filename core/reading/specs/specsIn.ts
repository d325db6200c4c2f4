import { readSpec, type SpecRead } from './readSpec'
import { readSpecTable } from './readSpecTable'
import { specSource } from './specSource'

/**
 * Every specification in a text: a table of parts; specifications parted by empty lines, each with a heading of its own;
 * one where they do not part.
 *
 * @example specsIn('CPU: Kettle 4600\nSocket: LT4\n\nPower supply: Pell 550\nPower: 550 W') // [{ role: 'cpu' }, {
 *   role: 'supply' }]
 */
export function specsIn(pasted: string): SpecRead[] {
  const text = specSource(pasted)
  const table = readSpecTable(text)
  if (table) return table
  const blocks = text.split(/\n\s*\n/).filter((block) => block.trim() !== '')
  const each = blocks.map((block) => readSpec(block))
  const isParted =
    blocks.length > 1 && each.every(({ role, facts }) => role !== null && Object.keys(facts).length > 0)
  return isParted ? each : [readSpec(text)]
}
