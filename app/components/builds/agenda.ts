import { daysBetween } from '#core/time/calendarDate'
import type { BuildStrip } from '#shared/views'

export interface AgendaEntry {
  readonly tone: 'stop' | 'waiting' | 'info'
  readonly when: string
  readonly text: string
  readonly to: string
}

/** What needs the builder today, gravest first: breaches, things that stop, overshoot, dates near. */
export function agenda(strips: readonly BuildStrip[], today: string): AgendaEntry[] {
  return strips.flatMap((strip): AgendaEntry[] => {
    const at = (place: string) => `/b/${strip.id}/${place}`
    const days = strip.wantedBy ? daysBetween(today, strip.wantedBy) : null
    const empty = strip.emptyRoles.length
    return [
      ...strip.findings.filter((finding) => finding.severity === 'stops').map((finding) => ({ tone: 'stop' as const, when: 'stops', text: `${strip.name}: ${finding.what}`, to: at('machine') })),
      ...strip.breaches.map((text) => ({ tone: 'stop' as const, when: 'rule', text: `${strip.name}: ${text}`, to: at('machine') })),
      ...(strip.receipt.state === 'over' ? [{ tone: 'stop' as const, when: 'money', text: `${strip.name} is past its stretch`, to: at('machine') }] : []),
      ...strip.targets.filter((target) => target.verdict === 'missed').map((target) => ({ tone: 'waiting' as const, when: 'target', text: `${strip.name} misses ${target.averageFps} fps in ${target.workload}`, to: at('bench') })),
      ...(days !== null && empty > 0 ? [{ tone: 'waiting' as const, when: days < 0 ? `${-days} d late` : `${days} days`, text: `${strip.name}: ${empty} ${empty === 1 ? 'role' : 'roles'} empty`, to: at('leads') }] : []),
      ...strip.receipt.groups.toComeBack.map((line) => ({ tone: 'info' as const, when: 'claim', text: `${strip.name}: rebate on ${line.label}`, to: at('leads') })),
    ]
  }).sort((a, b) => ['stop', 'waiting', 'info'].indexOf(a.tone) - ['stop', 'waiting', 'info'].indexOf(b.tone))
}
