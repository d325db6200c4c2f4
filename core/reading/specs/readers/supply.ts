import type { FactReader } from '../factReader'
import { countItems } from '../listedItems'
import type { SpecLine } from '../specLine'
import { watts, answer, countBefore, efficiencyIn, modularIn, length, lengths } from '../values'

/** How the facts of power supplies are read. */
export const supplyReaders: readonly FactReader[] = [
  {
    fact: 'ratedW',
    roles: ['supply'],
    key: /\b(wattage|power|output|rated|capacity|leistung|puissance|potencia|effekt|total power|watts?)\b/,
    not: /\b(\+?12 ?v|\+?5 ?v|3\.3|cpu|factor|good|input|connector|pci)\b/,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'efficiency',
    roles: ['supply'],
    key: /\b(efficiency|80|certification|label|effizienz|zertifizierung|rendement|eficiencia|verkningsgrad)\b/,
    read: ({ plain }) => efficiencyIn(plain),
  },
  {
    fact: 'modular',
    roles: ['supply'],
    key: /\b(modular\w*|modularity|cables?|cabling|kabel\w*|modulaire)\b/,
    read: ({ key, plain }) =>
      modularIn(/modular/.test(key) && !/modul/.test(plain) ? `${plain} ` : plain, key),
  },
  {
    fact: 'supplyShape',
    roles: ['supply'],
    key: /\b(form ?factor|type|format|shape|size|formfaktor|bauform|standard|formato)\b/,
    read: answer('supplyShape'),
  },
  {
    fact: 'lengthMm',
    roles: ['supply'],
    key: /\b(length|lange|longueur|depth|tiefe|dimensions?|abmessungen|size|masse|dimensiones|matt|langd)\b/,
    not: /\b(fan|cable|lead)\b/,
    keep: 'most',
    read: supplyLength,
  },
  { fact: 'sataLeads', roles: ['supply'], key: /\bsata\b/, read: ({ plain }) => countBefore(plain, 'sata') },
  {
    fact: 'sataLeads',
    roles: ['supply'],
    key: /\b(connectors?|cables?|leads?|anschlusse|connecteurs|conectores|kontakter|kablar|kabel)\b/,
    weight: 0,
    read: ({ plain }) => countItems(plain, /\bsata\b/),
  },
]

/** The side that is called the length or depth; of sizes without names the greatest. */
function supplyLength(line: SpecLine): number | null {
  const sizes = lengths(line.plain)
  const named = /\b([lwhd])\b\s?[x×]\s?\b([lwhd])\b\s?[x×]\s?\b([lwhd])\b/.exec(`${line.key} ${line.plain}`)
  const sides = named?.slice(1) ?? []
  const at = sides.includes('l') ? sides.indexOf('l') : sides.indexOf('d')
  return sizes.length === 3 && at >= 0 ? sizes[at]! : length('most')(line)
}
