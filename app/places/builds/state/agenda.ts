import { severityNames } from '#core/machine/fit/finding'
import { daysBetween } from '#core/time/calendarDate'
import { formatAmount } from '#core/money/formatAmount'
import type { BuildStrip } from '#shared/builds/views'
import type { LookoutHit } from '#shared/prices/views'

export interface AgendaEntry {
  readonly tone: 'stop' | 'settled' | 'waiting' | 'info'
  readonly when: string
  readonly text: string
  readonly to: string
}

const tones: readonly AgendaEntry['tone'][] = ['stop', 'settled', 'waiting', 'info']

/**
 * What needs the builder today, gravest first: breaches, things that stop, overshoot; then what came in under its
 * limit; dates near.
 */
export function agenda(strips: readonly BuildStrip[], today: string): AgendaEntry[] {
  const named = new Set<string>()
  /** A lead belongs to no build: its seller is named once. */
  const silentIn = (strip: BuildStrip) =>
    strip.silent.filter(({ leadId }) => !named.has(leadId) && named.add(leadId))
  return strips
    .flatMap((strip): AgendaEntry[] => {
      const at = (place: string) => `/b/${strip.id}/${place}`
      const days = strip.wantedBy ? daysBetween(today, strip.wantedBy) : null
      const empty = strip.emptyRoles.length
      return [
        ...cameIn(strip).map(({ hits, cheapest }) => ({
          tone: 'settled' as const,
          when: 'under limit',
          text:
            `${strip.name}: ${hits.length > 1 ? `${hits.length} × ` : ''}${cheapest.partName} at ` +
            `or below your ${formatAmount(cheapest.limit, cheapest.currency)}${hits.length > 1 ? ', from' : ','} ` +
            `${formatAmount(cheapest.cost, cheapest.currency)} at ` +
            `${cheapest.source}${cheapest.manner === 'auction' ? ' (current bid)' : ''}${cheapest.tooCheap ? '; suspiciously cheap' : ''}`,
          to: `${at('leads')}?show=hits&lead=${cheapest.leadId}`,
        })),
        ...strip.findings
          .filter((finding) => finding.severity === 'stops')
          .map((finding) => ({
            tone: 'stop' as const,
            when: severityNames.stops,
            text: `${strip.name}: ${finding.what}`,
            to: at('machine'),
          })),
        ...strip.breaches.map((text) => ({
          tone: 'stop' as const,
          when: 'rule',
          text: `${strip.name}: ${text}`,
          to: at('machine'),
        })),
        ...strip.gone.map(({ leadId, title }) => ({
          tone: 'stop' as const,
          when: 'gone',
          text: `${strip.name}: ${title} is no longer listed`,
          to: `${at('leads')}?show=chosen&lead=${leadId}`,
        })),
        ...silentIn(strip).map(({ leadId, title, days: silentDays }) => ({
          tone: 'waiting' as const,
          when: 'silent',
          text: `No reply for ${silentDays} days on ${title}: no longer counted as an open offer`,
          to: `${at('leads')}?show=asked&lead=${leadId}`,
        })),
        ...(strip.receipt.state === 'over'
          ? [
              {
                tone: 'stop' as const,
                when: 'money',
                text: `${strip.name} is over its stretch`,
                to: at('machine'),
              },
            ]
          : []),
        ...strip.targets
          .filter((target) => target.verdict === 'missed')
          .map((target) => ({
            tone: 'waiting' as const,
            when: 'target',
            text: `${strip.name} misses ${target.averageFps} fps in ${target.workload}`,
            to: at('bench'),
          })),
        ...(days !== null && empty > 0
          ? [
              {
                tone: 'waiting' as const,
                when: days < 0 ? `${-days} d overdue` : `${days} days`,
                text: `${strip.name}: ${empty} ${empty === 1 ? 'part' : 'parts'} missing`,
                to: at('leads'),
              },
            ]
          : []),
        ...strip.receipt.groups.toComeBack.map((line) => ({
          tone: 'info' as const,
          when: 'claim',
          text: `${strip.name}: rebate on ${line.label}`,
          to: at('leads'),
        })),
      ]
    })
    .sort((a, b) => tones.indexOf(a.tone) - tones.indexOf(b.tone))
}

/** The hits of each lookout together, with the cheapest of them; one that is too cheap to be true comes last. */
function cameIn(strip: BuildStrip): { hits: readonly LookoutHit[]; cheapest: LookoutHit }[] {
  const byLookout = new Map<string, LookoutHit[]>()
  for (const hit of strip.hits) byLookout.set(hit.lookoutId, [...(byLookout.get(hit.lookoutId) ?? []), hit])
  return [...byLookout.values()].map((hits) => ({
    hits,
    cheapest: [...hits].sort((a, b) => Number(a.tooCheap) - Number(b.tooCheap) || a.cost - b.cost)[0]!,
  }))
}
