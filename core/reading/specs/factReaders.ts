import type { FactReader } from './factReader'
import { boardReaders } from './readers/board'
import { memoryReaders } from './readers/memory'
import { graphicsReaders } from './readers/graphics'
import { supplyReaders } from './readers/supply'
import { caseReaders } from './readers/case'
import { coolerReaders } from './readers/cooler'
import { storageReaders } from './readers/storage'
import { anyPartReaders } from './readers/anyPart'

/** Every fact that a specification is read for. The order is that in which a line is asked. */
export const factReaders: readonly FactReader[] = [
  ...boardReaders,
  ...memoryReaders,
  ...graphicsReaders,
  ...supplyReaders,
  ...caseReaders,
  ...coolerReaders,
  ...storageReaders,
  ...anyPartReaders,
]
