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

/** The parts by role, as every step asks for them. */
interface Bench {
  all(role: Role): readonly Part[]
  /** all of a role in words; empty where there is none */
  name(role: Role): string
  readonly board: Part | undefined
  readonly card: Part | undefined
}

/** Title, what makes it tricky, and its lines for the parts at hand; no lines: the step is left out. */
const steps: readonly { title: string; step: string; lines(bench: Bench): readonly string[] }[] = [
  { title: 'Test outside the case', step: 'bench', lines: trialLines },
  { title: 'Install the motherboard', step: 'board', lines: boardLines },
  { title: 'Cooler and fans', step: 'cooler', lines: coolerLines },
  { title: 'Drives', step: 'drives', lines: driveLines },
  { title: 'PSU and cables', step: 'supply', lines: supplyLines },
  {
    title: 'Graphics card',
    step: 'card',
    lines: ({ card }) =>
      card
        ? [`${partLabel(card)} last: ${leadsOf(card)}`, 'two screws at the slot; no strain on the cables']
        : [],
  },
  { title: 'First boot', step: 'start', lines: firstStartLines },
]

/**
 * The steps for this very machine, in order: what to try outside the case, slots for the modules, plugs, leads, headers.
 * Steps for what is not there are left out. Findings fixed by hand stand with the step at which it is done.
 */
export function assemblySheet(parts: readonly Part[], findings: readonly Finding[]): AssemblyStep[] {
  const all = (role: Role) => parts.filter((part) => part.role === role)
  const bench: Bench = {
    all,
    name: (role) => all(role).map(partLabel).join(', '),
    board: all('motherboard')[0],
    card: all('graphics')[0],
  }
  return steps
    .map(({ title, step, lines }) => ({ title, lines: lines(bench), tricky: trickyPoints(step, findings) }))
    .filter(({ lines, tricky }) => lines.length > 0 || tricky.length > 0)
}

function trickyPoints(step: string, findings: readonly Finding[]): string[] {
  return findings
    .filter((finding) => trickyRules[step]?.includes(finding.ruleId))
    .map((finding) => `${finding.what}.${handiwork(finding)}`)
}

/** A line where its condition holds. */
function when(holds: boolean, line: () => string): string[] {
  return holds ? [line()] : []
}

function trialLines({ all, name, board, card }: Bench): string[] {
  const hasCpu = all('cpu').length > 0
  const cpuLeads = board?.facts.cpuLeads ?? 1
  const mainPlug = board?.facts.mainPlug ? ` into the board’s ${board.facts.mainPlug}` : ''
  return [
    ...when(
      hasCpu,
      () =>
        `${name('cpu')} into ${board ? partLabel(board) : 'the board'}: align the marks, no force; check for bent pins first`,
    ),
    ...moduleLines(all('memory'), board),
    ...when(
      hasCpu && all('cooler').length > 0,
      () => `${name('cooler')} with fresh paste; fan on the CPU fan header`,
    ),
    ...when(
      all('supply').length > 0,
      () =>
        `${name('supply')}: main connector${mainPlug} and ${cpuLeads} CPU ${cpuLeads === 1 ? 'cable' : 'cables'}`,
    ),
    ...(card
      ? [`${partLabel(card)} into the top slot; monitor on the card`]
      : when(
          all('cpu').some((cpu) => cpu.facts.integratedGraphics),
          () => 'monitor on the board',
        )),
    'short the two power-switch pins to start; in the BIOS, check CPU, memory size and speed',
    'enable the memory profile; one memory test pass',
  ]
}

function boardLines({ all, name, board }: Bench): string[] {
  if (!board) return []
  return [
    ...when(
      all('case').length > 0,
      () => `standoffs of ${name('case')} for ${board.facts.formFactor ?? 'this board'}`,
    ),
    'I/O shield first, from inside',
    'front panel: switch, LEDs, USB, audio',
  ]
}

function coolerLines({ all, name, board }: Bench): string[] {
  if (all('cooler').length === 0) return []
  const fans = all('case')[0]?.facts.fans
  const headers = board?.facts.fanHeaders
  return [
    ...when(
      Boolean(fans),
      () =>
        `${fans} case ${fans === 1 ? 'fan' : 'fans'} on ${headers ?? 'the'} ` +
        `${headers === 1 ? 'header' : 'headers'}: intake at the front, exhaust at the back`,
    ),
    `${name('cooler')} must not touch the memory`,
  ]
}

function driveLines({ all }: Bench): string[] {
  return all('storage').map((drive, index) =>
    drive.facts.interface === 'nvme'
      ? `${partLabel(drive)} into ${index === 0 ? 'the M.2 slot next to the CPU' : 'the next M.2 slot'}; screw it down`
      : `${partLabel(drive)} on SATA port ${index + 1}, with one SATA power cable`,
  )
}

function supplyLines({ all, name }: Bench): string[] {
  if (all('supply').length === 0) return []
  return [
    `${name('supply')}, fan towards the grille`,
    ...all('extra')
      .filter((part) => part.facts.feedsTo !== undefined)
      .map(
        (part) =>
          `${partLabel(part)}: ${part.facts.feedsFrom ?? '?'} to ${part.facts.feedsTo!}, at ` +
          `most ${part.facts.carriesW ?? '?'} W, on its own cable`,
      ),
  ]
}

function firstStartLines({ all }: Bench): string[] {
  return [
    'close the case, start it, and watch temperatures for 15 minutes at full load',
    ...all('extra')
      .filter((part) => part.facts.covers !== undefined)
      .map((part) => `${partLabel(part)} ready`),
  ]
}

function handiwork(finding: Finding): string {
  const by = finding.fixes.find((fix) => fix.action.kind === 'by-hand')
  return by && by.handiwork !== 'none' ? ` Manual work: ${by.what} (${by.handiwork})` : ''
}

function moduleLines(modules: readonly Part[], board: Part | undefined): string[] {
  const count = modules.reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
  if (count === 0) return []
  const slots = board?.facts.memorySlots
  const where =
    slots === undefined
      ? 'as printed on the board'
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
  return leads.length === 0 ? 'powered by its slot' : leads.join(' and ')
}
