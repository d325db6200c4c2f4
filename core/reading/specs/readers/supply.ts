import type { FactReader } from '../factReader'
import { watts, answer, countBefore, efficiencyIn, modularIn } from '../values'

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
  { fact: 'sataLeads', roles: ['supply'], key: /\bsata\b/, read: ({ plain }) => countBefore(plain, 'sata') },
]
