import { plainText } from '../../text/plainText'

const phrases =
  /^\W*(?:unsold|not sold|did not sell|no sale|no bids|keine gebote|aucune enchere|sin pujas|inga bud|reserve not met|nicht verkauft|unverkauft|invendue?s?|non vendue?s?|no vendid[oa]s?|osald|osalt|ej sald|inte sald)\W*$/

/** Whether a line or cell says that nobody bought the thing. */
export const saysUnsold = (text: string): boolean => text.length < 40 && phrases.test(plainText(text))
