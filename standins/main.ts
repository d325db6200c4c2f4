import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { isCalendarDate } from '../core/time/calendarDate'
import { demoSeed } from '../demo/files'
import { demoToday } from '../demo/trade'
import { StandInMarket } from './market'
import { standInServer } from './server'

/**
 * `tsx standins/main.ts PORT [DATE-FILE]`: plays the made-up sources on this machine. The date file keeps the day, so that
 * a restart goes on where it stood, and tells it to an application started with TARVIN_TODAY_FILE.
 */
const [port, dateFile] = process.argv.slice(2)
if (!port || !/^\d+$/.test(port)) {
  process.stderr.write('usage: tsx standins/main.ts PORT [DATE-FILE]\n')
  process.exit(2)
}
const market = new StandInMarket(demoSeed, demoToday, demoSeed + 3)
const written = dateFile && existsSync(dateFile) ? readFileSync(dateFile, 'utf8').trim() : demoToday
if (isCalendarDate(written)) market.playTo(written)
const note = (day: string) => {
  if (!dateFile) return
  // renamed into place, so that a reader never finds half a date
  writeFileSync(`${dateFile}.new`, `${day}\n`)
  renameSync(`${dateFile}.new`, dateFile)
}
note(market.today)
standInServer({ market, onDay: note }).listen(Number(port), '127.0.0.1', () =>
  process.stdout.write(`stand-in markets at http://127.0.0.1:${port}, ${market.today}\n`),
)
