import type { Role } from '../../parts/part'

/** What is known of one thing a buyer asks: said, read from silence or other words, not said, or said both ways. */
export const factStates = ['stated', 'deduced', 'missing', 'contradictory'] as const
export type FactState = (typeof factStates)[number]
export type Answer = 'yes' | 'no'

/**
 * One thing a buyer asks of a part. `lost`: share of its street price that it is worth less where the answer
 * is no; `faultFactor`: what a no does to the probability of a fault. `silenceLoses`: whether a no is plausible where
 * the listing says nothing; most things that a listing leaves out are as they are in the comps, whose titles do not
 * say it either. All are defaults.
 */
export interface Wanted {
  readonly key: string
  readonly role: Role | 'any'
  readonly name: string
  readonly question: string
  readonly yes: RegExp
  readonly no?: RegExp
  readonly lost?: number
  readonly faultFactor?: number
  readonly silenceLoses?: boolean
}

export const wantedFacts: readonly Wanted[] = [
  {
    key: 'works',
    role: 'any',
    name: 'works',
    question: 'Does it work, and can I see it running?',
    yes: /\b(works?|working|tested|running|runs|boots?|powers on)\b/i,
    no: /\b(un|not )tested|does ?n[o']?t (work|boot|post|power)|not working|as[- ]is|for parts\b/i,
    faultFactor: 1.5,
  },
  {
    key: 'cpu-pins',
    role: 'cpu',
    name: 'pins or pads straight and clean',
    question: 'Are all pins or pads straight and clean?',
    yes: /\b(pins?|pads?)\b/i,
    no: /\b(bent|broken|missing) (pins?|pads?)|(pins?|pads?) (are |is )?(bent|broken|missing)/i,
    faultFactor: 2,
  },
  {
    key: 'cpu-cooler',
    role: 'cpu',
    name: 'cooler included',
    question: 'Is a cooler included?',
    yes: /\b(with|incl\w*|plus|and)\b[^.\n]{0,24}\b(cooler|heatsink|fan)\b|\bboxed\b/i,
    no: /\b(no|without( a)?|w\/o) (cooler|heatsink|fan)|tray only|cpu only/i,
  },
  {
    key: 'board-shield',
    role: 'motherboard',
    name: 'I/O shield included',
    question: 'Is the I/O shield included?',
    yes: /\b(shield)\b/i,
    no: /\b(no|without( the)?|missing( the)?) (i\/?o |io |back )?shield|shield (is )?(missing|lost)/i,
    lost: 0.06,
    silenceLoses: true,
  },
  {
    key: 'board-firmware',
    role: 'motherboard',
    name: 'BIOS version stated',
    question: 'Which BIOS version is on it?',
    yes: /\b(bios|firmware|uefi)\b/i,
  },
  {
    key: 'board-slots',
    role: 'motherboard',
    name: 'all memory slots work',
    question: 'Have you tested all memory slots?',
    yes: /\b(all|every|both|four) (memory |ram )?slots?\b/i,
    no: /\b(one|a|two) (memory |ram )?slots? (is |are )?(dead|broken|faulty|not working)|slot \w+ (is )?dead/i,
    lost: 0.1,
  },
  {
    key: 'memory-kit',
    role: 'memory',
    name: 'one kit',
    question: 'Is it one kit, bought together?',
    yes: /\b(kit|pair|matched)\b/i,
    no: /\b(mixed|mismatched|not a kit|different (makes|brands))\b/i,
    lost: 0.05,
  },
  {
    key: 'card-mining',
    role: 'graphics',
    name: 'never mined',
    question: 'Was it used for mining?',
    yes: /\b(never|not|no) (used for )?min(ing|ed)\b|\bnon[- ]mining\b/i,
    no: /(?<!never )(?<!not )(?<!non-)\b(ex[- ]?mining|mined on|used for mining|mining card)\b/i,
    faultFactor: 1.5,
    lost: 0.05,
  },
  {
    key: 'card-fans',
    role: 'graphics',
    name: 'fans and outputs work',
    question: 'Do all fans spin and all outputs work?',
    yes: /\b(fans?|outputs?)\b/i,
    no: /\bfans? (is |are )?(dead|stuck|broken|rattl\w*|noisy)|(rattl\w*|broken|dead) fans?|output (is )?dead/i,
    lost: 0.1,
  },
  {
    key: 'card-paste',
    role: 'graphics',
    name: 'stated whether it was opened',
    question: 'Have the thermal paste or pads been replaced?',
    yes: /\b(paste|pads?|never opened|not opened)\b/i,
  },
  {
    key: 'drive-wear',
    role: 'storage',
    name: 'power-on hours and wear stated',
    question: 'How many power-on hours and how much data written does it report?',
    yes: /\b(hours|\d+ ?h|written|tbw|health)\b/i,
    no: /\b(bad|reallocated|pending) sectors?|caution\b/i,
    faultFactor: 1.5,
    lost: 0.08,
    silenceLoses: true,
  },
  {
    key: 'supply-age',
    role: 'supply',
    name: 'age stated',
    question: 'How old is it?',
    yes: /\b(years?|months?) old|bought (in )?20[12]\d|from 20[12]\d/i,
    lost: 0.08,
    silenceLoses: true,
  },
  {
    key: 'supply-leads',
    role: 'supply',
    name: 'all cables included',
    question: 'Are all cables included?',
    yes: /\b(leads?|cables?)\b/i,
    no: /\b(no|without|missing( some)?) (leads?|cables?)|(leads?|cables?) (are |is )?missing/i,
    lost: 0.25,
  },
  {
    key: 'case-whole',
    role: 'case',
    name: 'panels, screws and feet included',
    question: 'Are all panels, screws and feet included?',
    yes: /\b(panels?|screws?)\b/i,
    no: /\b(missing|no|without|cracked) (side |front )?(panels?|screws?|glass)|(panel|glass|screws?) (is |are )?(missing|cracked|lost)/i,
    lost: 0.2,
  },
  {
    key: 'cooler-mount',
    role: 'cooler',
    name: 'mounting kit for the socket included',
    question: 'Is the mounting kit for my socket included?',
    yes: /\b(mount|brackets?|socket)\b/i,
    no: /\b(no|without|missing) (mount|brackets?)/i,
    lost: 0.15,
    silenceLoses: true,
  },
  {
    key: 'donor-firmware',
    role: 'donor',
    name: 'no BIOS password',
    question: 'Is the BIOS free of a password?',
    yes: /\b(no (bios |firmware )?password|unlocked|not locked)\b/i,
    no: /(?<!\b(?:no|not|without(?: a)?) (?:bios |firmware )?)\b(?:bios |firmware )?(?<!\b(?:no|not|without(?: a)?) (?:bios |firmware )?)(?:password|locked)\b(?! removed)/i,
    lost: 0.1,
    silenceLoses: true,
  },
  {
    key: 'donor-inside',
    role: 'donor',
    name: 'CPU, memory and drive stated',
    question: 'Which CPU, memory and drive are inside?',
    yes: /\b(cpu|processor|ram|memory|ssd|hdd|\d+ ?gb)\b/i,
    lost: 0.1,
    silenceLoses: true,
  },
  {
    key: 'why-sold',
    role: 'any',
    name: 'reason for selling stated',
    question: 'Why are you selling it?',
    yes: /\b(upgrad\w*|selling because|no longer|moving|switched)\b/i,
  },
]

/** A fact of a lead: what is known, by whose word, and the words that say it. */
export interface LeadFact {
  readonly key: string
  readonly role: Role | 'any'
  readonly name: string
  readonly question: string
  readonly state: FactState
  readonly answer: Answer | null
  /** The words of the listing that say it; empty for the builder's own answer and for silence. */
  readonly quote: string
  readonly by: 'listing' | 'builder' | 'silence'
  readonly lost: number
  readonly faultFactor: number
  readonly silenceLoses: boolean
  /** Whether it is answered by telling something rather than by yes or no. */
  readonly isTold: boolean
}

/**
 * The facts of a lead by its text and the builder's own answers, which hold over the text. A text that says a thing
 * both ways is contradictory: it is to be asked, and counts as no. Silence is a missing fact, except that a new thing
 * is deduced to be whole and to work.
 */
export function readFacts(
  roles: readonly Role[],
  text: string,
  answers: Readonly<Record<string, Answer>> = {},
  isNew = false,
): LeadFact[] {
  return wantedFacts
    .filter((wanted) => wanted.role === 'any' || roles.includes(wanted.role))
    .map((wanted) => {
      const { key, role, name, question, lost = 0, faultFactor = 1, silenceLoses = false } = wanted
      const isTold = wanted.no === undefined
      const fact = { key, role, name, question, lost, faultFactor, silenceLoses, isTold }
      const own = answers[key]
      if (own) return { ...fact, state: 'stated', answer: own, quote: '', by: 'builder' }
      const no = wanted.no?.exec(text)
      // what denies a thing names it too: words that deny are not counted as a yes
      const yes = wanted.yes.exec(no ? text.replaceAll(no[0], ' ') : text)
      if (no && yes)
        return { ...fact, state: 'contradictory', answer: null, quote: `${yes[0]} … ${no[0]}`, by: 'listing' }
      if (no) return { ...fact, state: 'stated', answer: 'no', quote: no[0], by: 'listing' }
      if (yes) return { ...fact, state: 'stated', answer: 'yes', quote: yes[0], by: 'listing' }
      if (isNew) return { ...fact, state: 'deduced', answer: 'yes', quote: '', by: 'silence' }
      return { ...fact, state: 'missing', answer: null, quote: '', by: 'silence' }
    })
}

/** Whether a fact counts against the lead: a no, a contradiction, or silence where a no is plausible. */
export function countsAgainst({
  answer,
  state,
  silenceLoses,
}: Pick<LeadFact, 'answer' | 'state' | 'silenceLoses'>): boolean {
  return answer === 'no' || state === 'contradictory' || (state === 'missing' && silenceLoses)
}

/** Share of a thing's street price that its facts leave, 0 to 1; losses multiply. */
export function shareLeft(facts: readonly LeadFact[], role: Role): number {
  return facts
    .filter((fact) => fact.role === role && countsAgainst(fact))
    .reduce((left, fact) => left * (1 - fact.lost), 1)
}

/** What the facts do to the probability of a fault; factors multiply. */
export function faultFactorOf(facts: readonly LeadFact[], role: Role): number {
  return facts
    .filter((fact) => (fact.role === role || fact.role === 'any') && countsAgainst(fact))
    .reduce((factor, fact) => factor * fact.faultFactor, 1)
}

/** How much hangs on an answer; whether it works at all comes before what is said both ways, and that before the rest. */
const weightOf = (fact: LeadFact) =>
  fact.lost +
  (fact.faultFactor - 1) / 5 +
  (fact.state === 'contradictory' ? 1 : 0) +
  (fact.key === 'works' ? 0.5 : 0) +
  // what is not known of an open part decides what it is worth
  (fact.key.startsWith('which-') ? 0.4 : 0)

/** Questions to the seller: what is missing or contradictory, the costliest first, never more than six. */
export function questionsOf(facts: readonly LeadFact[]): string[] {
  return facts
    .filter((fact) => fact.state === 'missing' || fact.state === 'contradictory')
    .sort((a, b) => weightOf(b) - weightOf(a))
    .slice(0, 6)
    .map((fact) => fact.question)
}

/** What can be seen at the door, the answers that change a figure first; what the builder knows already is left out. */
export function seenAtTheDoor(facts: readonly LeadFact[]): {
  readonly telling: readonly LeadFact[]
  readonly others: readonly LeadFact[]
} {
  const open = facts.filter(({ by }) => by !== 'builder').sort((a, b) => weightOf(b) - weightOf(a))
  const tells = ({ lost, faultFactor }: LeadFact) => lost > 0 || faultFactor !== 1
  return { telling: open.filter(tells), others: open.filter((fact) => !tells(fact)) }
}
