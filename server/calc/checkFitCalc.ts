import type { InferType } from 'yup'
import { factKinds, factsOfRole } from '#core/parts/facts'
import type { Part, Role } from '#core/parts/part'
import { readFacts } from '#core/parts/statedFacts'
import { answerOf, compared } from '#core/parts/vocabularies'
import { checkFit } from '#core/machine/fit/checkFit'
import type { CitedFact, FitBrief } from '#core/machine/fit/finding'
import type { SupplyRule } from '#core/machine/power/supplySize'
import { machineRulesSchema } from '#shared/brief/schemas'
import type { checkFitRequest } from '#shared/calc/schemas'

type Request = InferType<typeof checkFitRequest>

/** `POST /api/calc/check-fit`: a machine of stated parts, facts in any usual spelling; what cannot be read is not known. */
export function calcCheckFit({ parts: stated, brief }: Request, today: string) {
  const parts = stated.map((part): Part => ({ ...part, facts: withSockets(readFacts(part.facts).facts) }))
  const { findings, cannotCheck, passed } = checkFit({ parts, brief: briefOf(brief, today) })
  return {
    findings: findings.map(({ ruleId, severity, why, what }) => ({
      rule: ruleId,
      severity,
      parts: [...new Set(why.map(({ partId }) => partId))].filter((id) =>
        parts.some((part) => part.id === id),
      ),
      message: what,
    })),
    cannotCheck: cannotCheck.map(({ ruleId, unknown }) => ({
      rule: ruleId,
      missing: unknown.map((cited) => ({ part: cited.partId, fact: keyOf(cited) })),
    })),
    passed: passed.length,
  }
}

/** Sockets compare without case, spaces and hyphens. */
function withSockets(facts: Part['facts']): Part['facts'] {
  const plain = (text: string) =>
    compared(text)
      .replace(/^socket/, '')
      .toUpperCase()
  return {
    ...facts,
    ...(facts.socket === undefined ? {} : { socket: plain(facts.socket) }),
    ...(facts.coolerSockets === undefined ? {} : { coolerSockets: facts.coolerSockets.map(plain) }),
  }
}

/** A fact by its name in the library, which findings cite in words. */
function keyOf({ role, fact }: CitedFact): string {
  return role === 'brief'
    ? fact
    : (factsOfRole(role as Role).find((key) => factKinds[key].name === fact) ?? fact)
}

function briefOf(brief: Request['brief'], today: string): Partial<FitBrief> {
  const rules = brief?.houseRules
    ? machineRulesSchema.validateSync(brief.houseRules, { stripUnknown: true })
    : undefined
  const { tariff: _tariff, roomC: ruleRoom, supplyRule, ...said } = rules ?? {}
  const roomC = brief?.roomC ?? ruleRoom ?? undefined
  return {
    ...(said as Partial<FitBrief>),
    ...(brief?.houseRules && 'supplyRule' in brief.houseRules
      ? { supplyRule: supplyRule as SupplyRule }
      : {}),
    year: Number(today.slice(0, 4)),
    ...(brief?.needs ? { needs: brief.needs } : {}),
    ...(roomC === undefined ? {} : { roomC }),
    ...(brief?.screenInputs
      ? { screenPlugs: (brief.screenInputs as string[]).map((plug) => answerOf('outputs', plug) ?? plug) }
      : {}),
  }
}
