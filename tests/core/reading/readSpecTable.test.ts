import { describe, expect, test } from 'vitest'
import { readPaste } from '#core/pastes/readPaste'
import { readSpecTable } from '#core/reading/specs/readSpecTable'

/** Tables of parts as spreadsheets have them, in several languages and with whatever headers. */
const shown = (text: string) =>
  readSpecTable(text)?.map(({ role, make, name, facts }) => [
    role,
    make,
    name,
    Object.fromEntries(Object.entries(facts).map(([fact, read]) => [fact, read!.value])),
  ])

describe('readSpecTable', () => {
  test.each([
    [
      'commas, watts with and without a space',
      'Make,Model,Type,Socket,Cores,TDP\nLinnet,Dovecote 5300,CPU,LN-4,6,65 W\nFerrant,Orrery 7,processor,QX-2,8,105W',
      [
        ['cpu', 'Linnet', 'Dovecote 5300', { socket: 'LN-4', cores: 6, limitW: 65 }],
        ['cpu', 'Ferrant', 'Orrery 7', { socket: 'QX-2', cores: 8, limitW: 105 }],
      ],
    ],
    [
      'semicolons',
      'Bezeichnung;Kategorie;Speicher;Länge\nQuill 70 8 GB;Grafikkarte;8 GB;242 mm',
      [['graphics', '', 'Quill 70 8 GB', { vramGb: 8, lengthMm: 242 }]],
    ],
    [
      'tabs',
      'Benämning\tKategori\tMax kort\tModerkort\nLarder Mini\tChassi\t310 mm\tmini-ITX',
      [['case', '', 'Larder Mini', { maxCardMm: 310, boardSizes: ['mini-ITX'] }]],
    ],
    [
      'bars',
      'Modelo|Tipo|Núcleos|Hilos|Zócalo\nDovecote 5300|procesador|6|12|LN-4',
      [['cpu', '', 'Dovecote 5300', { cores: 6, threads: 12, socket: 'LN-4' }]],
    ],
    [
      'empty cells are facts not known',
      'Part,Category,Capacity,Kit,Type\nPlinth 16,memory,16 GB,2 x 8 GB,DDR4\nSkiff,ssd,1 TB,,',
      [
        ['memory', '', 'Plinth 16', { capacityGb: 16, kitCount: 2, memoryGeneration: 'DDR4' }],
        ['storage', '', 'Skiff', { capacityGb: 1000, drive: 'ssd' }],
      ],
    ],
  ])('%s', (_, text, wanted) => expect(shown(text)).toEqual(wanted))

  test.each([
    ['sales', 'name,price,date\nQuill 70,100,2026-10-01'],
    ['no header', 'Quill 70,graphics card,8 GB\nStook 640,graphics card,4 GB'],
    ['names alone', 'name,colour of the box\nQuill 70,torn\nStook 640,none'],
    ['one column', 'name\nQuill 70'],
    ['nothing', ''],
  ])('%s is no such table', (_, text) => expect(readSpecTable(text)).toBeNull())

  test('a paste of one is taken for specifications, with the line of each row', () => {
    const text = 'Model,Type,Cores\nDovecote 5300,CPU,6\nOrrery 7,CPU,8'
    const paste = readPaste(text, { today: '2026-10-31', currency: 'CAD', library: [] })
    expect(paste).toMatchObject({
      kind: 'spec',
      read: [{ facts: { cores: { line: 2 } } }, { facts: { cores: { line: 3 } } }],
    })
  })
})
