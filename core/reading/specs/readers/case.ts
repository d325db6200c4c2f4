import type { FactReader } from '../factReader'
import { length, noWords, answers, count, countOf, bays, radiator } from '../values'

/** How the facts of cases are read. */
export const caseReaders: readonly FactReader[] = [
  {
    fact: 'boardSizes',
    roles: ['case'],
    key: /\b(mb|motherboard|mainboard|board|carte mere|placa base|moderkort|form ?factor)\b/,
    not: /\bslots?\b/,
    read: answers('formFactor'),
  },
  {
    fact: 'supplyShapes',
    roles: ['case'],
    key: /\b(psu|power supply|netzteil|alimentation|nataggregat|supply)\b/,
    not: /\b(length|clearance|max|included|depth)\b/,
    read: answers('supplyShape'),
  },
  {
    fact: 'maxCardMm',
    roles: ['case'],
    key: /\b(gpu|card|vga|graphics|kort|karte|carte|tarjeta|grafikkarte\w*|carte graphique|grafikkort)\b/,
    not: /\b(slots?|included|power)\b/,
    keep: 'least',
    read: length('least'),
  },
  {
    fact: 'maxCoolerMm',
    roles: ['case'],
    key: /\b(cooler|cpu|kuhler|ventirad|kylare|heatsink)\b/,
    not: /\bradiator\b/,
    keep: 'least',
    read: length('least'),
  },
  {
    fact: 'maxSupplyMm',
    roles: ['case'],
    key: /\b(psu|power supply|netzteil\w*|alimentation|nataggregat\w*|fuente)\b/,
    keep: 'least',
    read: length('least'),
  },
  {
    fact: 'radiatorMm',
    roles: ['case', 'cooler'],
    key: /\b(radiator\w*|aio|liquid)\b/,
    keep: 'most',
    read: ({ plain }) => radiator(plain),
  },
  {
    fact: 'bays35',
    roles: ['case'],
    key: /3[.,]5|\b(?:bays|\w*schachte|einbauplatze|baies|bahias|platser)\b/,
    read: bays('3[.,]5'),
  },
  {
    fact: 'bays25',
    roles: ['case'],
    key: /2[.,]5|\b(?:bays|\w*schachte|einbauplatze|baies|bahias|platser)\b/,
    read: bays('2[.,]5'),
  },
  {
    fact: 'glass',
    roles: ['case'],
    key: /\b(side panel|panel|window|glass|seitenteil|seitenwand|panneau)\b/,
    read: (line) =>
      /glass|glas|verre|vidrio|window/.test(line.plain)
        ? !noWords.test(line.plain)
        : noWords.test(line.plain)
          ? false
          : /steel|stahl|solid|metal/.test(line.plain)
            ? false
            : null,
  },
  {
    fact: 'fans',
    roles: ['case', 'cooler'],
    key: /\b(included fans?|fans? included|pre-?installed fans?|fans? \(included\)|installed fans|vorinstallierte lufter|mitgelieferte lufter|ventilateurs inclus|fans?)\b/,
    not: /\b(speed|size|noise|headers?|support|max|mounts?|places|positions|rpm|airflow|optional)\b/,
    read: ({ plain }) => count(plain),
  },
  {
    fact: 'fanPlaces',
    roles: ['case'],
    key: /\b(fan (support|mounts?|places|positions|slots)|max(imum)? fans|places for fans)\b/,
    read: countOf,
  },
  { fact: 'cardSlots', roles: ['case'], key: /\b(expansion slots?|slots?|pci slots?)\b/, read: countOf },
]
