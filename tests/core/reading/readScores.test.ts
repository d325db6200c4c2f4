import { describe, expect, test } from 'vitest'
import { kindOfPaste } from '#core/pastes/readPaste'
import { PasteSeen } from '#core/pastes/pasteSeen'
import { readScores } from '#core/reading/scores/readScores'

describe('tables of scores, as they are copied', () => {
  test.each([
    ['tabs with rank', '1\tQuill 70\t12,480\n2\tStook 640\t6,120\n3\tStook 91\t19,002', [12480, 6120, 19002]],
    ['a name and its figure', 'Quill 70 12480\nStook 640  6120', [12480, 6120]],
    ['thousands by a space', 'Quill 70;12 480\nStook 640;6 120', [12480, 6120]],
    ['thousands by a point', 'Quill 70|12.480|\nStook 640|6.120|', [12480, 6120]],
    ['frames with decimals', 'Quill 70\t81.4 fps\nStook 640\t40,5 fps', [81.4, 40.5]],
    ['commas', 'name,score\nQuill 70,1248\nStook 640,612', [1248, 612]],
    ['ranks with a point', '1. Quill 70 12480\n2. Stook 640 6120', [12480, 6120]],
    [
      'a bar table with a rule',
      '| card | score |\n|---|---|\n| Quill 70 | 124 |\n| Stook 640 | 61 |',
      [124, 61],
    ],
  ])('%s', (_, text, values) => {
    const { rows } = readScores(text)
    expect(rows.map((row) => row.values[0])).toEqual(values)
    expect(rows[0]!.name).toBe('Quill 70')
    expect(rows[1]!.name).toBe('Stook 640')
  })

  test('several columns keep their headings, empty cells are none', () => {
    const read = readScores('card\t1080p\t1440p\nQuill 70\t142\t98\nStook 640\t71\t-')
    expect(read.columns).toEqual(['1080p', '1440p'])
    expect(read.rows.map(({ values }) => values)).toEqual([
      [142, 98],
      [71, null],
    ])
  })

  test('what is no row is told by its line', () => {
    expect(readScores('Quill 70\t12\nStook 640\t6\nsource: own bench\n')).toMatchObject({ notRead: [3] })
  })

  test('is taken for scores, and a page of sales is not', () => {
    const context = { library: [], today: '2026-10-31', currency: 'CAD' }
    expect(kindOfPaste(new PasteSeen('Quill 70\t142\nStook 640\t71\nStook 91\t198', context))).toBe('scores')
    expect(kindOfPaste(new PasteSeen('card\tscore\nQuill 70\t98\nno figure here\n', context))).toBe('scores')
    const sales = 'Quill 70 8GB\nC $91.00\nSold Oct 3, 2026\n\nQuill 70\nC $88.00\nSold Oct 2, 2026'
    expect(kindOfPaste(new PasteSeen(sales, context))).toBe('sales')
  })
})
