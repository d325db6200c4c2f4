import { faultAssumptions, type FaultOverrides } from '#core/supply/risk/faultRisk'

/** The table of faults by default, in CAD: dealing with a fault costs 8.00. */
export const cadFaults = (own: FaultOverrides = {}) => faultAssumptions(own, { hassle: 800 })
