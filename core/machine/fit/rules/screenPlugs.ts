import { partLabel, type Part, type PartFacts } from '../../../parts/part'
import { answerOf } from '../../../parts/vocabularies'
import { add, cite, citeBrief, notTold, replace, type FitRule, type MachineRead } from '../rule'

/** Outputs that a plain cable or a passive adapter turns into another plug; never the other way round. */
const becomes: Readonly<Record<string, readonly string[]>> = {
  DisplayPort: ['mini DisplayPort', 'HDMI', 'DVI'],
  'mini DisplayPort': ['DisplayPort', 'HDMI', 'DVI'],
  HDMI: ['DVI', 'mini HDMI'],
  DVI: ['HDMI'],
}

/** The plug must fit as it is, or by an adapter that works in that direction. */
export const screenPlugs: FitRule = {
  id: 'screen-plugs',
  area: 'connections',
  severity: 'needs',
  question: 'Is there an output that fits your monitor?',
  reads: [],
  tellsUnknown: true,
  concerns: (machine) => machine.brief.screenPlugs.length > 0 && sourcesOf(machine).length > 0,
  check(machine) {
    const wanted = machine.brief.screenPlugs
    const sources = sourcesOf(machine)
    const known = sources.filter(({ facts }) => facts.outputs !== undefined)
    const fits = ({ outputs = [] }: PartFacts) => outputs.some((output) => wanted.includes(output))
    if (known.some(({ facts }) => fits(facts) || hasAdapter(machine, facts.outputs!))) return []
    if (known.length < sources.length)
      return sources
        .filter(({ facts }) => facts.outputs === undefined)
        .map((part) => notTold(part, 'outputs'))
    return known.map((part) => ({
      what: `${partLabel(part)} has ${part.facts.outputs!.join(', ')}; your monitor takes ${wanted.join(', ')}`,
      why: [cite(part, 'outputs'), citeBrief('monitor inputs', wanted.join(', '))] as const,
      fixes: [
        add('extra', 'a display adapter', ({ facts }) => turns(facts, part.facts.outputs!, wanted)),
        replace(
          'graphics',
          'a card with that output',
          ({ facts }) => fits(facts) && (facts.graphicsIndex ?? 0) >= 0.9 * (part.facts.graphicsIndex ?? 0),
        ),
      ],
    }))
  },
}

/**
 * What gives the picture: the cards; without one graphics of the CPU, by the plugs that its board has, and where those
 * are not known by those the CPU can drive.
 */
function sourcesOf(machine: MachineRead): readonly Part[] {
  const cards = machine.all('graphics')
  if (cards.length > 0) return cards
  const drawing = machine.all('cpu').filter(({ facts }) => facts.integratedGraphics === true)
  const boards = machine.all('motherboard').filter(({ facts }) => facts.outputs !== undefined)
  return drawing.length > 0 && boards.length > 0 ? boards : drawing
}

const hasAdapter = (machine: MachineRead, outputs: readonly string[]) =>
  machine.extra((facts) => turns(facts, outputs, machine.brief.screenPlugs)) !== undefined

/** Whether an adapter makes one of the outputs one of the plugs; what turns the other way needs power of its own. */
function turns(
  { feedsFrom, feedsTo }: PartFacts,
  outputs: readonly string[],
  wanted: readonly string[],
): boolean {
  const from = answerOf('outputs', feedsFrom ?? '') ?? feedsFrom ?? ''
  const to = answerOf('outputs', feedsTo ?? '') ?? feedsTo ?? ''
  return outputs.includes(from) && wanted.includes(to) && (to === 'VGA' || (becomes[from] ?? []).includes(to))
}
