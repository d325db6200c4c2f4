import type { FactReader } from '../factReader'
import { gigabytes, driveInterface, driveKind, driveShape, m2Length } from '../values'

/** How the facts of drives are read. */
export const storageReaders: readonly FactReader[] = [
  {
    fact: 'capacityGb',
    roles: ['storage'],
    key: /\b(capacity|size|kapazitat|capacite|capacidad|kapacitet|storage)\b/,
    not: /\b(cache|dram|buffer|physical|form)\b/,
    read: ({ plain }) => gigabytes(plain),
  },
  {
    fact: 'interface',
    roles: ['storage'],
    key: /\b(interface|bus|connection|schnittstelle|protocol|type|anschluss|connector)\b/,
    read: ({ plain }) => driveInterface(plain),
  },
  {
    fact: 'drive',
    roles: ['storage'],
    key: /\b(type|kind|technology|typ|category|drive type|form ?factor|rotational speed|rpm|spindle)\b/,
    read: ({ key, plain }) => (/rpm|rotational|spindle/.test(`${key} ${plain}`) ? 'hdd' : driveKind(plain)),
  },
  {
    fact: 'driveShape',
    roles: ['storage'],
    key: /\b(form ?factor|size|format|formfaktor|bauform|facteur de forme|formato|m\.?2)\b/,
    read: ({ key, plain }) => driveShape(`${key} ${plain}`),
  },
  {
    fact: 'm2LengthMm',
    roles: ['storage'],
    key: /\b(form ?factor|size|length|format|m\.?2)\b/,
    read: ({ plain }) => m2Length(plain),
  },
]
