import { partLabel } from '../../../parts/part'
import { citeAll, citeBrief, replace, type FitRule } from '../rule'

export const avoidedMakes: FitRule = {
  id: 'avoided-makes',
  area: 'rules',
  severity: 'costs',
  question: 'Is any part from a brand you avoid?',
  reads: [],
  concerns: (machine) => machine.brief.avoidedMakes.length > 0 && machine.parts.length > 0,
  check(machine) {
    const avoided = new Set(machine.brief.avoidedMakes.map((make) => make.trim().toLowerCase()))
    return machine.parts
      .filter((part) => avoided.has(part.make.toLowerCase()))
      .map((part) => ({
        what: `${partLabel(part)} is from a brand you avoid`,
        why: [
          citeAll([part], 'make', part.make),
          citeBrief('brands to avoid', machine.brief.avoidedMakes.join(', ')),
        ],
        fixes: [replace(part.role, 'another brand', (other) => !avoided.has(other.make.toLowerCase()))],
      }))
  },
}
