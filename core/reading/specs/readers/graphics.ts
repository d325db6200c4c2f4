import { either } from '../../../text/either'
import type { FactReader } from '../factReader'
import { countItems } from '../listedItems'
import type { SpecLine } from '../specLine'
import {
  watts,
  length,
  gigabytes,
  yesNo,
  answers,
  sumOf,
  eightPin,
  sixPin,
  sixteenPin,
  count,
  none,
  thick,
  lanes,
  pcie,
} from '../values'

/** What the plugs of a card, or the leads of a supply for one, stand under. */
const leadsKey = either(
  /\b(?:power (?:connectors?|input|plug|pins?)|connectors?|cables|leads|external power|supplementary|auxiliary|aux|power)\b/,
  /\bpci-?e? ?(?:express)?(?: power)?(?: connectors?| cables?| leads?)?\b|\b(?:graphics power|vga connectors?)\b/,
  /\b(?:anschlusse|stromanschlusse?|stromversorgung|connecteurs?|alimentation|conector(?:es)?|alimentacion|kontakt(?:er)?|kablar|strom)\b/,
)
const cardPlug = /(?:pci-?e|pci express|vga|gpu|graphics).*(?:6\s?\+\s?2|8[\s-]?pin)|6\s?\+\s?2/
const otherPlug = /\b(?:eps|cpu)\b|12v-?2x6|12vhpwr|16[\s-]?pin|12\s?\+\s?4/

/** How the facts of graphics cards are read. */
export const graphicsReaders: readonly FactReader[] = [
  {
    fact: 'vramGb',
    roles: ['graphics'],
    key: /\b(memory|vram|video memory|speicher|memoire|memoria|minne|size)\b/,
    not: /\b(clock|speed|bus|interface|type|bandwidth|width)\b/,
    read: ({ plain }) => gigabytes(plain),
  },
  {
    fact: 'recommendedW',
    roles: ['graphics'],
    key: /\b(recommended|required|minimum|system|suggested|empfohlen\w*|recommandee?|rekommenderad)\b.*\b(psu|power|supply|watt|netzteil|alimentation)|\bpsu\b|\bsystem power\b/,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'boardPowerW',
    roles: ['graphics'],
    key: /\b(tgp|tbp|tdp|board power|graphics (card )?power|power (consumption|draw)|card power|leistungsaufnahme|consommation|total graphics power|max power|power)\b/,
    not: /\b(connectors?|supply|psu|recommended|required|system|pin)\b/,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'lengthMm',
    roles: ['graphics'],
    key: /\b(length|lange|longueur|depth|tiefe|dimensions?|abmessungen|size|masse|dimensiones|matt|langd|card length)\b/,
    not: /\b(clearance|fan|memory|video)\b/,
    keep: 'most',
    read: length('most'),
  },
  {
    fact: 'slotsThick',
    roles: ['graphics'],
    key: /\b(slots?|size|slot (width|size)|thickness|width|card width|length|height|dimensions?|breite|lange|hohe|largeur|longueur|hauteur|ancho|largo|bredd|langd|hojd|tjocklek|epaisseur)\b/,
    // beside a length only what is called slots
    read: ({ plain }) => (/\bmm\b/.test(plain) && !/slot/.test(plain) ? null : thick(plain)),
  },
  {
    fact: 'outputs',
    roles: ['graphics', 'cpu'],
    key: /\b(outputs?|display|ports?|connectors?|video out|interface|anschlusse|sorties|salidas|utgangar|hdmi|displayport)\b/,
    not: /\b(power|bus|memory|max)\b/,
    read: ({ key, plain }) =>
      answers('outputs')({
        plain: /hdmi|displayport|dvi|vga/.test(key) ? `${key}, ${plain}` : plain,
      } as SpecLine),
  },
  {
    fact: 'eightPinLeads',
    roles: ['graphics', 'supply'],
    key: leadsKey,
    not: /\b(cpu|eps|atx 12v|main|sata|display|output|consumption|supply|board power|draw)\b/,
    read: ({ plain, key }) =>
      none.test(plain) && !/\d\s?-?(?:pin|pol|broch|stift)/.test(plain)
        ? 0
        : // `PCIe 6+2-pin: 4`
          (countItems(plain, cardPlug, otherPlug) ??
          (/6\s?\+\s?2|8-?\s?pin/.test(key) && !/pin/.test(plain) ? count(plain) : null) ??
          sumOf(plain, eightPin) ??
          (sumOf(plain, sixPin) === null ? null : 0)),
  },
  {
    fact: 'sixPinLeads',
    roles: ['graphics', 'supply'],
    key: leadsKey,
    not: /\b(cpu|eps|atx 12v|main|sata|display|output|consumption|supply|board power|draw)\b/,
    read: ({ plain }) =>
      none.test(plain) && !/\d\s?-?(?:pin|pol|broch|stift)/.test(plain)
        ? 0
        : // a lead of 6+2 serves either socket
          (sumOf(plain, sixPin) ?? (sumOf(plain, eightPin) === null || /6\s?\+\s?2/.test(plain) ? null : 0)),
  },
  {
    fact: 'sixteenPinLeads',
    roles: ['graphics', 'supply'],
    key: /\b(power connectors?|pci-?e? ?(express)?( power)?( connectors?| cables?| leads?)?|power (input|plug|pins?)|connectors?|auxiliary|stromanschluss|graphics power|power)\b|12\s?\+\s?4|16-?pin/,
    not: /\b(cpu|eps|main|sata|display|output|consumption|supply|board power|draw)\b/,
    read: ({ plain }) => sumOf(plain, sixteenPin),
  },
  { fact: 'lowProfile', roles: ['graphics'], key: /\blow[- ]profile\b/, read: (line) => yesNo(line) },
  {
    fact: 'lanes',
    roles: ['graphics', 'storage'],
    key: /\b(interface|bus|pcie?|pci express|lanes|schnittstelle|slot)\b/,
    read: ({ plain }) => lanes(plain),
  },
  {
    fact: 'pcieVersion',
    roles: ['graphics', 'storage'],
    key: /\b(interface|bus|pcie?|pci express|schnittstelle|slot)\b/,
    read: ({ plain }) => pcie(plain),
  },
]
