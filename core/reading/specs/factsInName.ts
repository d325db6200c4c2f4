import type { Role } from '../../parts/part'
import { statedCores } from '../titles/statedCores'
import { plainText } from '../../text/plainText'
import type { FactKey, FactValue } from './factReader'
import {
  whole,
  watts,
  gigabytes,
  generation,
  kitIn,
  lanes,
  pcie,
  efficiencyIn,
  modularIn,
  radiator,
  driveInterface,
  driveKind,
  driveShape,
  m2Length,
} from './values'

/** Facts that a name or title may carry, whatever stands around them. */
export function factsInName(name: string, role: Role): Partial<Record<FactKey, FactValue>> {
  const plain = plainText(name)
  const found: Partial<Record<FactKey, FactValue | null>> = {}
  if (role === 'memory') {
    const kit = kitIn(plain)
    const total = kit?.total ?? gigabytes(plain)
    Object.assign(found, {
      capacityGb: total,
      kitCount: kit?.count ?? (/\b(single|1 stick)\b/.test(plain) ? 1 : null),
      memoryGeneration: generation(plain),
      speedMts: whole(
        /\b(?:ddr\d-?\s?|)(\d{4})\s?(?:mhz|mt\/s)?\b/.exec(plain.replace(/\bpc\d-?\d+/g, ''))?.[1] ?? '',
      ),
      module: /so-?\s?dimm|laptop|notebook/.test(plain)
        ? 'laptop'
        : /\budimm\b|desktop|(?<!so-?\s?)\bdimm\b/.test(plain)
          ? 'desktop'
          : null,
    })
  }
  if (role === 'storage')
    Object.assign(found, {
      capacityGb: gigabytes(plain),
      interface: driveInterface(plain),
      drive: driveKind(plain),
      driveShape: driveShape(plain),
      m2LengthMm: m2Length(plain),
      lanes: lanes(plain),
      pcieVersion: pcie(plain),
    })
  if (role === 'graphics')
    Object.assign(found, {
      vramGb: gigabytes(plain),
      lowProfile: /\blow[- ]profile\b/.test(plain) ? true : null,
    })
  if (role === 'supply')
    Object.assign(found, {
      ratedW: whole(/(\d{3,4})\s?-?\s?(?:w\b|watts?\b)/.exec(plain)?.[1] ?? ''),
      efficiency: efficiencyIn(plain),
      modular: modularIn(plain),
      supplyShape: /\bsfx-l\b/.test(plain)
        ? 'SFX-L'
        : /\bsfx\b/.test(plain)
          ? 'SFX'
          : /\btfx\b/.test(plain)
            ? 'TFX'
            : /\bflex(-?atx)?\b/.test(plain)
              ? 'Flex-ATX'
              : null,
    })
  if (role === 'motherboard')
    Object.assign(found, {
      formFactor: /\be-?atx\b/.test(plain)
        ? 'E-ATX'
        : /\bm(?:icro)?[- ]?atx\b|\bmicro\b/.test(plain)
          ? 'micro-ATX'
          : /\b(?:mini[- ]?)?itx\b/.test(plain)
            ? 'mini-ITX'
            : /\batx\b/.test(plain)
              ? 'ATX'
              : null,
      memoryGeneration: generation(plain),
      wireless: /\bwi-?fi\b|\bwlan\b/.test(plain) ? true : null,
    })
  if (role === 'cpu')
    Object.assign(found, {
      cores: statedCores(plain),
      integratedGraphics: /\bwith (?:integrated )?graphics\b|\bigpu\b/.test(plain) ? true : null,
      threads: whole(/(\d{1,3})\s?-?\s?(?:t\b|threads?\b)/.exec(plain)?.[1] ?? ''),
      socket: /\bsocket\s+([a-z0-9-]+)/i.exec(name)?.[1] ?? null,
    })
  if (role === 'case')
    Object.assign(found, {
      boardSizes: /\b(?:mini[- ]?)?itx\b/.test(plain) ? ['mini-ITX'] : null,
      glass: /tempered glass|glass (side|panel)/.test(plain) ? true : null,
    })
  if (role === 'cooler')
    Object.assign(found, {
      radiatorMm: radiator(/radiator|aio|liquid/.test(plain) ? plain : ''),
      coolerW: watts(/(\d{2,3}\s?w\b)/.exec(plain)?.[1] ?? ''),
      // a low cooler is named by its height; 92 mm and more are the size of a fan
      heightMm: whole(/\b([2-7]\d)\s?mm\b/.exec(plain)?.[1] ?? ''),
    })
  return Object.fromEntries(
    Object.entries(found).filter(([, value]) => value !== null && value !== undefined),
  ) as Partial<Record<FactKey, FactValue>>
}
