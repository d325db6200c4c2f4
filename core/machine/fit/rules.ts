import type { FitRule } from './rule'
import { adapterLoad } from './rules/adapterLoad'
import { airflow } from './rules/airflow'
import { avoidedMakes } from './rules/avoidedMakes'
import { boardFeedsCpu } from './rules/boardFeedsCpu'
import { boardFirmware } from './rules/boardFirmware'
import { boardSize } from './rules/boardSize'
import { cablesBehindGlass } from './rules/cablesBehindGlass'
import { cardLeads } from './rules/cardLeads'
import { cardLength } from './rules/cardLength'
import { cardLowProfile } from './rules/cardLowProfile'
import { cardThickness } from './rules/cardThickness'
import { colours } from './rules/colours'
import { coolerCapacity } from './rules/coolerCapacity'
import { coolerHeight } from './rules/coolerHeight'
import { coolerMount } from './rules/coolerMount'
import { coolerOverMemory } from './rules/coolerOverMemory'
import { coolerSocket } from './rules/coolerSocket'
import { cpuGraphics } from './rules/cpuGraphics'
import { cpuLeads } from './rules/cpuLeads'
import { cpuSocket } from './rules/cpuSocket'
import { cpuUnlocked } from './rules/cpuUnlocked'
import { driveBays } from './rules/driveBays'
import { fanHeaders } from './rules/fanHeaders'
import { firmwareLocked } from './rules/firmwareLocked'
import { frontPlug } from './rules/frontPlug'
import { frontUsb } from './rules/frontUsb'
import { leastSupply } from './rules/leastSupply'
import { licence } from './rules/licence'
import { lowBracket } from './rules/lowBracket'
import { m2Kind } from './rules/m2Kind'
import { m2Slots } from './rules/m2Slots'
import { mainPlug } from './rules/mainPlug'
import { memoryCapacity } from './rules/memoryCapacity'
import { memoryChannels } from './rules/memoryChannels'
import { memoryGeneration } from './rules/memoryGeneration'
import { memoryMixed } from './rules/memoryMixed'
import { memoryModule } from './rules/memoryModule'
import { memorySlots } from './rules/memorySlots'
import { memorySlotsFull } from './rules/memorySlotsFull'
import { memorySpeed } from './rules/memorySpeed'
import { noCooler } from './rules/noCooler'
import { oneOnly } from './rules/oneOnly'
import { oldestCpu } from './rules/oldestCpu'
import { panelMissing } from './rules/panelMissing'
import { radiatorPlace } from './rules/radiatorPlace'
import { sataLeads } from './rules/sataLeads'
import { sataPorts } from './rules/sataPorts'
import { screenPlugs } from './rules/screenPlugs'
import { screwsMissing } from './rules/screwsMissing'
import { securityModule } from './rules/securityModule'
import { sharedMemory } from './rules/sharedMemory'
import { shield } from './rules/shield'
import { slotsCovered } from './rules/slotsCovered'
import { smallDriveMount } from './rules/smallDriveMount'
import { smallestDrive } from './rules/smallestDrive'
import { supplyLength } from './rules/supplyLength'
import { slotPower } from './rules/slotPower'
import { supplyAge } from './rules/supplyAge'
import { supplyLeads } from './rules/supplyLeads'
import { supplyTwelve } from './rules/supplyTwelve'
import { supplyPeak } from './rules/supplyPeak'
import { supplyShape } from './rules/supplyShape'
import { supplySize } from './rules/supplySize'
import { systemListed } from './rules/systemListed'
import { wireless } from './rules/wireless'
import { antennas } from './rules/antennas'
import { cardBesideRadiator } from './rules/cardBesideRadiator'
import { cardCables } from './rules/cardCables'
import { cardHeight } from './rules/cardHeight'
import { coolerBolted } from './rules/coolerBolted'
import { cpuMakeLock } from './rules/cpuMakeLock'
import { driveWear } from './rules/driveWear'
import { fanCurrent } from './rules/fanCurrent'
import { m2Length } from './rules/m2Length'
import { managed } from './rules/managed'
import { memoryEnough } from './rules/memoryEnough'
import { memoryProfile } from './rules/memoryProfile'
import { resizableMemory } from './rules/resizableMemory'
import { slotLanes } from './rules/slotLanes'

/** The registry of the fit check, in the order in which findings of equal severity are shown. */
export const fitRules: readonly FitRule[] = [
  adapterLoad,
  supplyLeads,
  oneOnly,
  cpuSocket,
  cpuMakeLock,
  boardFirmware,
  memoryGeneration,
  memoryModule,
  memorySlots,
  memoryCapacity,
  memorySpeed,
  memoryProfile,
  memoryChannels,
  memoryMixed,
  memorySlotsFull,
  cpuUnlocked,
  cpuGraphics,
  sharedMemory,
  memoryEnough,
  boardFeedsCpu,
  securityModule,
  systemListed,
  boardSize,
  cardLength,
  cardBesideRadiator,
  cardThickness,
  cardHeight,
  cardLowProfile,
  lowBracket,
  coolerHeight,
  coolerSocket,
  coolerMount,
  coolerBolted,
  coolerOverMemory,
  radiatorPlace,
  driveBays,
  smallDriveMount,
  supplyShape,
  supplyLength,
  fanHeaders,
  fanCurrent,
  slotsCovered,
  slotLanes,
  resizableMemory,
  cardLeads,
  cardCables,
  cpuLeads,
  slotPower,
  sataLeads,
  m2Slots,
  m2Kind,
  m2Length,
  sataPorts,
  mainPlug,
  frontPlug,
  screenPlugs,
  frontUsb,
  wireless,
  antennas,
  supplySize,
  supplyPeak,
  supplyTwelve,
  supplyAge,
  shield,
  firmwareLocked,
  managed,
  licence,
  panelMissing,
  screwsMissing,
  driveWear,
  coolerCapacity,
  noCooler,
  airflow,
  oldestCpu,
  smallestDrive,
  leastSupply,
  avoidedMakes,
  colours,
  cablesBehindGlass,
]
