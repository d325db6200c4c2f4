import { plainText } from '../../text/plainText'

const phrases =
  /^\W*(?:unsold|not sold|did not sell|no sale|reserve not met|nicht verkauft|unverkauft|invendue?s?|non vendue?s?|no vendid[oa]s?|osald|osalt|ej sald|inte sald)\W*$/

/** Whether a line or cell says that nobody bought the thing. */
export const saysUnsold = (text: string): boolean => text.length < 40 && phrases.test(plainText(text))
