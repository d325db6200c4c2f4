import { describe, expect, test } from 'vitest'
import { jsonLdOffers } from '#core/reading/listings/jsonLdOffers'
import { readPage, seenText } from '#core/reading/listings/pageSource'
import { readFeed } from '#core/reading/listings/readFeed'

describe('the source of a page', () => {
  test.each([
    ['<p>Tarn <b>640</b></p><p>100</p>', 'Tarn 640\n100'],
    ['a<br>b<div>c</div>', 'a\nb\nc'],
    ['<style>p{}</style>x<script>alert(1)</script>y', 'xy'],
    ['5 &lt; 6 &amp; 7&nbsp;8', '5 < 6 & 7 8'],
    ['<p>unclosed <i>and <b>more', 'unclosed and more'],
    ['<script>never closed', ''],
    // what a style sets apart, and what is one to the eye
    ['<b>Quill 70</b><b>$61.00</b><b>+$9.00</b>', 'Quill 70\n$61.00\n+$9.00'],
    ['<b>Quill 70</b><b>XT</b>', 'Quill 70\tXT'],
    ['<b>Qui</b><b>ll 70</b> for $<b>61</b><b>.50</b>', 'Quill 70 for $61.50'],
    ['$48<sup>00</sup>, $7<sup>1</sup>', '$48.00, $71'],
    ['<table><tr><td>$48<br>9 bids</td><td>Oct 24</td></tr></table>a<br>b', '$48 9 bids\tOct 24\na\nb'],
    ['', ''],
  ])('%s', (source, text) => expect(readPage(source).text).toBe(text))
  test('its JSON-LD, however the tag is written; other scripts are not', () => {
    const source = `<SCRIPT data-x='1' TYPE = "application/ld+json; charset=utf-8">{"a":1}</SCRIPT><script>{"b":2}</script>
      <script type=application/ld+json>{"c":"</p>"}</script>`
    expect(readPage(source).jsonLd).toEqual(['{"a":1}', '{"c":"</p>"}'])
  })
  test.each([
    ['script tags without an end', '<script<script'.repeat(30_000)],
    ['tags without an end', '<a '.repeat(200_000)],
    ['deep nesting', '<div>'.repeat(100_000)],
    ['quotes without an end', `<p title="${'x" y="'.repeat(80_000)}`],
    ['comments', '<!--'.repeat(150_000)],
  ])('%s take no longer than their length', (_, source) => {
    // time of this process alone, the better of two: other work on the machine does not count
    const once = (text: string) => {
      const began = process.cpuUsage()
      readPage(text)
      try {
        jsonLdOffers(text)
      } catch {
        // no product in it
      }
      const { user, system } = process.cpuUsage(began)
      return (user + system) / 1000
    }
    const time = (text: string) => Math.min(once(text), once(text))
    time(source.slice(0, source.length / 8))
    const [part, whole] = [time(source.slice(0, source.length / 4)), time(source)]
    // four times the length: far less than the sixteen times of a quadratic reader
    expect(whole).toBeLessThan(Math.max(400, 10 * part))
  })
})

describe('a long feed', () => {
  const entry = (i: number) => `<entry><id>e${i}</id><title>Tarn ${i}</title><link href="/e/${i}"/></entry>`
  const feed = (count: number) =>
    `<?xml version="1.0"?><feed xmlns="x">${Array.from({ length: count }, (_, i) => entry(i)).join('')}</feed>`
  test('is cut while it is read: what comes after is not even parsed', () => {
    const { entries } = readFeed(`${feed(400).replace('</feed>', '')}<entry><broken`, 'https://a.test/', 300)
    expect([entries.length, entries[299]!.id]).toEqual([300, 'e299'])
  })
  test('a short one is read whole', () => {
    expect(readFeed(feed(3), 'https://a.test/', 300).entries).toHaveLength(3)
  })
})

test('a text with signs of less and more is no page; one closed tag makes it one', () => {
  for (const text of ['B<P', 'below <table 4, over 3 < p', '<3 years old']) expect(seenText(text)).toBe(text)
  expect(seenText('<p class="x">Quill 70</p>').trim()).toBe('Quill 70')
})
