import { benchReadings } from './benchReadings'

const valueOf = (name: string) => process.argv[process.argv.indexOf(name) + 1]
const sizes = process.argv.includes('--sizes') ? valueOf('--sizes')!.split(',').map(Number) : [1, 10, 30]
const minutes = process.argv.includes('--minutes') ? Number(valueOf('--minutes')) : 10
const say = (name: string, value: string) => process.stdout.write(`${name.padEnd(66)} ${value}\n`)
process.exit((await benchReadings(say, sizes, minutes)) ? 0 : 1)
