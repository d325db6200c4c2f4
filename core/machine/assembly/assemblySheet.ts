import type { Finding } from '../fit/finding'
import { partLabel, type Part, type Role } from '../../parts/part'

/** One step of putting this very machine together. */
export interface AssemblyStep {
  readonly title: string
  readonly lines: readonly string[]
  /** What is tricky about it, from the findings. */
  readonly tricky: readonly string[]
}

/** Which rules make which step tricky. */
const trickyRules: Readonly<Record<string, readonly string[]>> = {
  bench: [
    'board-firmware',
    'firmware-locked',
    'memory-mixed',
    'memory-generation',
    'cpu-socket',
    'memory-module',
  ],
  board: ['board-size', 'shield', 'screws-missing', 'front-plug', 'panel-missing'],
  cooler: [
    'cooler-height',
    'cooler-socket',
    'cooler-mount',
    'cooler-over-memory',
    'cooler-capacity',
    'radiator-place',
  ],
  drives: ['drive-bays', 'small-drive-mount', 'm2-slots', 'm2-kind', 'sata-ports', 'sata-leads'],
  supply: ['supply-shape', 'supply-length', 'main-plug', 'cpu-leads', 'supply-size', 'cables-behind-glass'],
  card: [
    'card-length',
    'card-thickness',
    'card-low-profile',
    'low-bracket',
    'card-leads',
    'adapter-load',
    'supply-peak',
    'slots-covered',
  ],
  start: [
    'cpu-graphics',
    'fan-headers',
    'front-usb',
    'screen-plugs',
    'wireless',
    'memory-speed',
    'airflow',
    'licence',
  ],
}

/**
 * The steps for this very machine, in order: what to try outside the case, slots for the modules, plugs, leads, headers.
 * Steps for what is not there are left out. Findings fixed by hand stand with the step at which it is done.
 */
export function assemblySheet(parts: readonly Part[], findings: readonly Finding[]): AssemblyStep[] {
  const all = (role: Role) => parts.filter((part) => part.role === role)
  const name = (role: Role) => all(role).map(partLabel).join(', ')
  const tricky = (step: string) =>
    findings
      .filter((finding) => trickyRules[step]?.includes(finding.ruleId))
      .map((finding) => `${finding.what}.${handiwork(finding)}`)
  const [board] = all('motherboard')
  const steps: AssemblyStep[] = []
  const add = (title: string, lines: readonly string[], step: string) => {
    const points = tricky(step)
    if (lines.length > 0 || points.length > 0) steps.push({ title, lines, tricky: points })
  }
  const [card] = all('graphics')
  add(
    'Try it outside the case',
    [
      ...(all('cpu').length > 0
        ? [
            `${name('cpu')} into ${board ? partLabel(board) : 'the board'}: mark to mark, no force; check for bent pins first`,
          ]
        : []),
      ...moduleLines(all('memory'), board),
      ...(all('cpu').length > 0 && all('cooler').length > 0
        ? [`${name('cooler')} with fresh paste, its fan on the CPU header`]
        : []),
      ...(all('supply').length > 0
        ? [
            `${name('supply')}: main plug${board?.facts.mainPlug ? ` into the board’s ${board.facts.mainPlug}` : ''} and ${board?.facts.cpuLeads ?? 1} CPU ${(board?.facts.cpuLeads ?? 1) === 1 ? 'lead' : 'leads'}`,
          ]
        : []),
      ...(card
        ? [`${partLabel(card)} into the top slot, screen on the card`]
        : all('cpu').some((cpu) => cpu.facts.integratedGraphics)
          ? ['screen on the board']
          : []),
      'start by the two pins of the switch; into the firmware: CPU, memory size and speed as bought',
      'memory profile on; one pass of a memory test',
    ],
    'bench',
  )
  add(
    'Board into the case',
    board
      ? [
          ...(all('case').length > 0
            ? [`stand-offs of ${name('case')} for ${board.facts.formFactor ?? 'this board'}`]
            : []),
          'shield first, from inside',
          'front panel: switch, lights, USB, sound',
        ]
      : [],
    'board',
  )
  add(
    'Cooler and fans',
    all('cooler').length > 0
      ? [
          ...(all('case')[0]?.facts.fans
            ? [
                `${all('case')[0]!.facts.fans} case fans on ${board?.facts.fanHeaders ?? 'the'} ${board?.facts.fanHeaders === 1 ? 'header' : 'headers'}: in at the front, out at the back`,
              ]
            : []),
          `nothing of ${name('cooler')} touches the memory`,
        ]
      : [],
    'cooler',
  )
  add(
    'Drives',
    all('storage').map((drive, index) =>
      drive.facts.interface === 'nvme'
        ? `${partLabel(drive)} into ${index === 0 ? 'the M.2 slot next to the CPU' : 'the next M.2 slot'}, its screw`
        : `${partLabel(drive)} on SATA port ${index + 1}, one power lead`,
    ),
    'drives',
  )
  add(
    'Supply and leads',
    all('supply').length > 0
      ? [
          `${name('supply')}, fan to the grille`,
          ...all('extra')
            .filter((part) => part.facts.feedsTo !== undefined)
            .map(
              (part) =>
                `${partLabel(part)}: ${part.facts.feedsFrom ?? '?'} to ${part.facts.feedsTo!}, ${part.facts.carriesW ?? '?'} W at most, on a lead of its own`,
            ),
        ]
      : [],
    'supply',
  )
  add(
    'Card',
    card
      ? [`${partLabel(card)} last: ${leadsOf(card)}`, 'two screws at the slot, nothing hanging on the leads']
      : [],
    'card',
  )
  add(
    'First start',
    [
      'close it, start it, watch temperatures for a quarter of an hour at full load',
      ...all('extra')
        .filter((part) => part.facts.covers !== undefined)
        .map((part) => `${partLabel(part)} ready`),
    ],
    'start',
  )
  return steps
}

function handiwork(finding: Finding): string {
  const by = finding.fixes.find((fix) => fix.action.kind === 'by-hand')
  return by && by.handiwork !== 'none' ? ` By hand: ${by.what} (${by.handiwork})` : ''
}

function moduleLines(modules: readonly Part[], board: Part | undefined): string[] {
  const count = modules.reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  if (count === 0) return []
  const slots = board?.facts.memorySlots
  const where =
    slots === undefined
      ? 'by the board’s print'
      : count >= slots
        ? 'into every slot'
        : slots === 4 && count === 2
          ? 'into the second and fourth slot from the CPU'
          : `into ${count} of ${slots} slots`
  return [`${modules.map(partLabel).join(', ')}: ${count} ${count === 1 ? 'module' : 'modules'} ${where}`]
}

function leadsOf({ facts: { sixPinLeads = 0, eightPinLeads = 0 } }: Part): string {
  const leads = [
    ...(eightPinLeads > 0 ? [`${eightPinLeads} × 8-pin`] : []),
    ...(sixPinLeads > 0 ? [`${sixPinLeads} × 6-pin`] : []),
  ]
  return leads.length === 0 ? 'fed by its slot' : leads.join(' and ')
}
