import type { FitRule } from './rule'
import { cardLeads } from './rules/cardLeads'
import { cpuSocket } from './rules/cpuSocket'
import { memoryGeneration } from './rules/memoryGeneration'

/** The registry of the fit check: one line a rule, in the order in which findings of equal severity are shown. */
export const fitRules: readonly FitRule[] = [cpuSocket, memoryGeneration, cardLeads]
