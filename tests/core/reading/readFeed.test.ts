import { describe, expect, test } from 'vitest'
import { readFeed } from '#core/reading/listings/readFeed'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { catalogue } from '../../../demo/catalogue'
import { labelledTitles } from '../../../demo/labelledTitles'

const base = 'https://barn.example/feed'

describe('readFeed', () => {
  test.each([
    [
      'Atom',
      '<feed xmlns="http://www.w3.org/2005/Atom"><entry><id>a1</id><title type="html">Tarn ' +
        '&amp; box</title><link rel="enclosure" href="/x.jpg"/><link ' +
        'href="/l/1"/><published>2026-10-30T23:30:00-05:00</published></entry></feed>',
    ],
    [
      'RSS',
      '<?xml version="1.0"?><rss version="2.0"><channel><item><guid ' +
        'isPermaLink="false">a1</guid><title><![CDATA[Tarn & ' +
        'box]]></title><link>https://barn.example/l/1</link><pubDate>Fri, 30 Oct 2026 ' +
        '12:00:00 GMT</pubDate></item></channel></rss>',
    ],
    [
      'JSON',
      JSON.stringify({
        version: 'https://jsonfeed.org/version/1.1',
        items: [{ id: 'a1', url: '/l/1', title: 'Tarn & box', date_published: '2026-10-30T08:00:00Z' }],
      }),
    ],
  ])('%s: id, link, title and day', (_, text) => {
    expect(readFeed(text, base)).toEqual({
      entries: [
        { id: 'a1', url: 'https://barn.example/l/1', title: 'Tarn & box', publishedOn: '2026-10-30' },
      ],
      problems: [],
    })
  })
  test('an entry without an id goes by its link, one without a link is reported, a feed may be empty', () => {
    const { entries, problems } = readFeed(
      '<feed><entry><title>a</title><link href="https://b.example/1"/></entry><entry><title>b</title></entry></feed>',
      base,
    )
    expect(entries).toEqual([
      { id: 'https://b.example/1', url: 'https://b.example/1', title: 'a', publishedOn: null },
    ])
    expect(problems).toEqual([{ where: 'entry 2', reason: 'has no page link' }])
    expect(readFeed('<rss><channel><title>none</title></channel></rss>', base).entries).toEqual([])
    expect(readFeed('{"version":"https://jsonfeed.org/version/1.1","title":"none"}', base).entries).toEqual(
      [],
    )
  })
  test.each([
    ['a page', '<html><body>hello</body></html>'],
    ['nothing', ''],
    ['broken XML', '<feed><entry></feed>'],
    ['broken JSON', '{"items": ['],
    ['other JSON', '{"a": 1}'],
    [
      'a document type, by which entities could swell',
      '<!DOCTYPE feed [<!ENTITY a "aaaa">]><feed><entry><title>&a;</title></entry></feed>',
    ],
    ['what nests a thousand deep', `<feed>${'<a>'.repeat(1000)}${'</a>'.repeat(1000)}</feed>`],
    [
      'a tag of five thousand attributes',
      `<feed ${Array.from({ length: 5000 }, (_, i) => `a${i}="1"`).join(' ')}></feed>`,
    ],
  ])('%s is no feed', (_, text) => expect(() => readFeed(text, base)).toThrow(/feed/))
})

describe('TitleReader', () => {
  const reader = new TitleReader(
    new Map(catalogue.map((part) => [part.id, queryForPart(part, catalogue)])),
    '2026-10-31',
  )
  test.each([
    ['Murrowdun Tarn 640 8GB, no box', 'single', ['murrowdun-tarn-640-8-gb'], false],
    ['tarn 640 S 8gb', 'single', ['murrowdun-tarn-640-s-8-gb'], false],
    ['Sallwofen 5400 cpu', 'single', ['kaldric-sallowfen-5400'], false],
    ['Tarn 640 8GB for parts', 'single', ['murrowdun-tarn-640-8-gb'], true],
    ['an old lamp', 'unknown', [], false],
  ])('%s: %s', (title, kind, partIds, damaged) =>
    expect(reader.read(title)).toEqual({ kind, partIds, damaged }),
  )
  test('a lot names each of its parts', () => {
    expect(reader.read('Lot: Tarn 640 8 GB + Sallowfen 5400 + N4 micro').partIds.toSorted()).toEqual([
      'kaldric-sallowfen-5400',
      'murrowdun-tarn-640-8-gb',
      'northpine-n4-micro',
    ])
  })
  test('of clean titles nine of ten are tied to their part, and hardly one to another', () => {
    const clean = labelledTitles(91, 1500).filter((each) => each.dirt === 'clean')
    const read = clean.map((each) => ({ ...reader.read(each.title), meant: each.partId }))
    expect(
      read.filter((each) => each.kind === 'single' && each.partIds[0] === each.meant).length / clean.length,
    ).toBeGreaterThan(0.9)
    expect(
      read.filter((each) => each.kind === 'single' && each.partIds[0] !== each.meant).length / clean.length,
    ).toBeLessThan(0.01)
  })
})
