import { doorAnswers } from '../../supply/door/doorTable'
import { doorWords } from './doorNote'

/** One question at the door. */
export interface DoorQuestion {
  readonly key: string
  readonly question: string
  /** What the listing says of it; empty: nothing. */
  readonly said: string
  /** Whether it is answered by telling something rather than by yes or no. */
  readonly isTold: boolean
}

/** What a set of answers makes of the lead, ready to be shown. */
export interface DoorRow {
  /** What it costs in all at its price, risk counted. */
  readonly expected: string
  /** What it is worth as it is. */
  readonly worth: string
  /** The most to pay, in minor units of the lead's currency, and as shown; null: nothing to hold it against. */
  readonly most: number | null
  readonly mostShown: string
  readonly advice: string
}

export interface DoorPage {
  readonly leadId: string
  readonly title: string
  readonly seller: string
  readonly currency: string
  /** Digits behind the point of the lead's currency. */
  readonly digits: number
  readonly price: string
  readonly today: string
  /** Answers to these change the figures. */
  readonly telling: readonly DoorQuestion[]
  readonly others: readonly DoorQuestion[]
  /** By `doorKey`. */
  readonly rows: Readonly<Record<string, DoorRow>>
  /** What to look at, by part. */
  readonly checks: readonly { readonly name: string; readonly lines: readonly string[] }[]
  readonly note: string
}

const plainWords = { yes: 'yes', no: 'no', unknown: 'not known' } as const
const toldWords = { yes: 'stated', no: 'not stated', unknown: 'not asked' } as const
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)

/** Data inside a script: nothing in it may end the script. */
const asScript = (value: unknown) => JSON.stringify(value).replaceAll('<', '\\u003c')

/**
 * One page that needs no net: what to check, what to ask, what each answer makes of the lead, and the note to send back.
 * It holds everything it shows and asks nobody for anything.
 */
export function doorPage(page: DoorPage): string {
  const question = ({ key, question: asked, said, isTold }: DoorQuestion) => `
<fieldset><legend>${escaped(asked)}</legend>${said === '' ? '' : `<small>listing: “${escaped(said)}”</small>`}
${doorAnswers
  .map(
    (answer) =>
      `<label><input type="radio" name="${escaped(key)}" value="${answer}"${answer === 'unknown' ? ' checked' : ''}> ${
        (isTold ? toldWords : plainWords)[answer]
      }</label>`,
  )
  .join('')}</fieldset>`
  const check = (line: string) =>
    `<label><input type="checkbox" value="${escaped(line)}"> ${escaped(line)}</label>`
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="content-security-policy" content="default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'">
<title>${escaped(page.title)}</title>
<style>${style}</style></head><body>
<h1>${escaped(page.title)}</h1>
<p>${escaped(page.seller)}, ${escaped(page.price)} ${escaped(page.currency)}. Figures of ${escaped(page.today)}.</p>
<section class="figures" aria-live="polite"><p>most to pay <b id="most"></b></p><p>expected total <b id="expected"></b></p>
<p>value as seen <b id="worth"></b></p><p id="advice"></p></section>
<h2>Ask and check</h2>${page.telling.map(question).join('')}
${page.others.length === 0 ? '' : `<h2>Also ask</h2>${page.others.map(question).join('')}`}
<h2>Check</h2>${page.checks
    .map(({ name, lines }) => `<h3>${escaped(name)}</h3>${lines.map(check).join('')}`)
    .join('')}
<h2>Asking price now</h2>
<input id="asked" inputmode="decimal" aria-label="asking price now" placeholder="${escaped(page.price)}"> <span id="verdict"></span>
<h2>Note</h2><textarea id="said" rows="3" aria-label="note"></textarea>
${page.note === '' ? '' : `<h2>Earlier note</h2><p>${escaped(page.note)}</p>`}
<h2>Note for Tarvin</h2><p>Paste this into the lead when you are home.</p>
<textarea id="out" rows="9" readonly aria-label="note for Tarvin"></textarea>
<p><button type="button" id="copy">Copy</button></p>
<script>
const page = ${asScript({
    lead: page.leadId,
    title: page.title,
    digits: page.digits,
    telling: page.telling.map(({ key }) => key),
    all: [...page.telling, ...page.others].map(({ key }) => key),
    rows: page.rows,
    words: doorWords,
  })};
${script}
</script></body></html>
`
}

const style = `
body{font:16px/1.45 system-ui,sans-serif;margin:0 auto;max-width:34rem;padding:1rem;color:#1d2b2a;background:#fdfdf8}
h1{font-size:1.2rem}h2{font-size:1rem;margin:1.4rem 0 .4rem}h3{font-size:.9rem;margin:.8rem 0 .2rem;color:#555}
fieldset{border:1px solid #d8d3c6;border-radius:4px;margin:.5rem 0;padding:.4rem .6rem}legend{font-weight:600;padding:0 .2rem}
label{display:inline-flex;gap:.35rem;align-items:center;padding:.5rem .9rem .5rem 0;min-height:2rem}
h3~label{display:flex;padding:.25rem 0}small{display:block;color:#555}
.figures{position:sticky;top:0;background:#f5f0e8;border:1px solid #1d2b2a;padding:.6rem;display:grid;grid-template-columns:1fr 1fr;gap:.2rem .8rem}
.figures p{margin:0}.figures b{display:block;font-variant-numeric:tabular-nums}#advice{grid-column:1/-1}
input:not([type]),textarea,input[inputmode]{font:inherit;padding:.4rem;border:1px solid #999;width:100%;box-sizing:border-box}
#asked{width:9rem}button{font:inherit;padding:.5rem 1rem}.over{color:#a02222}.under{color:#1d5c46}
`

const script = `
const at = (id) => document.getElementById(id)
const answer = (key) => document.querySelector('input[name="' + CSS.escape(key) + '"]:checked').value
function show() {
  const row = page.rows[page.telling.map((key) => answer(key)[0]).join('')]
  at('most').textContent = row.mostShown
  at('expected').textContent = row.expected
  at('worth').textContent = row.worth
  at('advice').textContent = row.advice
  const typed = at('asked').value.trim().replace(',', '.')
  const asked = /^\\d+([.]\\d+)?$/.test(typed) ? Math.round(Number(typed) * 10 ** page.digits) : null
  const isOver = asked !== null && row.most !== null && asked > row.most
  at('verdict').textContent = asked === null || row.most === null ? '' : isOver ? 'too much' : 'worth it'
  at('verdict').className = isOver ? 'over' : 'under'
  const looked = [...document.querySelectorAll('input[type=checkbox]:checked')].map((each) => each.value)
  const line = (name, value) => (value === '' ? [] : [name + ': ' + value])
  at('out').value = [
    page.words.title + ': ' + page.title,
    page.words.lead + ': ' + page.lead,
    ...page.all.flatMap((key) => (answer(key) === 'unknown' ? [] : [key + ': ' + answer(key)])),
    ...line(page.words.asked, typed),
    ...line(page.words.looked, looked.join('; ')),
    ...line(page.words.note, at('said').value.trim().replace(/\\s+/g, ' ')),
  ].join('\\n')
}
document.addEventListener('input', show)
at('copy').addEventListener('click', async () => {
  at('out').select()
  try { await navigator.clipboard.writeText(at('out').value) } catch { document.execCommand('copy') }
  at('copy').textContent = 'Copied'
})
show()
`
