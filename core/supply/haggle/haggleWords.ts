import type { HaggleSheet } from './haggleSheet'

/**
 * What to do, in words.
 *
 * @param asked what is asked: `The ask`, `The last counter-offer`
 */
export function haggleWords(advice: HaggleSheet['advice'], asked: string): string {
  return {
    'not-known': 'No street price and no other lead: nothing to hold it against.',
    pass: 'Pass: at no price does it beat the alternative.',
    take: `${asked} is at or below your aim: take it, or offer the next customary step down.`,
    'far-apart':
      'Far apart: 60 % of the ask is above your aim. Pass, or offer the aim and leave it standing.',
    haggle: 'Open below, so that meeting half-way lands on your aim.',
  }[advice]
}
