import type { HaggleSheet } from './haggleSheet'

/**
 * What to do, in words.
 *
 * @param asked what is asked: `The ask`, `The last counter-offer`
 */
export function haggleWords(advice: HaggleSheet['advice'], asked: string): string {
  return {
    'not-known': 'No street price and no other lead to compare with.',
    pass: 'Pass: it beats the alternative at no price.',
    take: `${asked} is at or below your fair offer: take it, or offer one price step less.`,
    'far-apart':
      'Far apart: 60 % of the asking price is above your fair offer. Pass, or make the fair offer and wait.',
    haggle: 'Start lower, so that splitting the difference gives your fair offer.',
  }[advice]
}
