import type { Condition } from '../core/reading/sales/soldRecord'
import { catalogue, type CataloguePart } from './catalogue'
import { chance as makeChance, type Chance } from './random'
import { title } from './titles'

/** A listing in plain text with what it truly offers. */
export interface LabelledListing {
  readonly text: string
  readonly partIds: readonly string[]
  readonly price: number
  readonly condition: Condition
  /** Null: the text says nothing of shipping. */
  readonly shipping: number | null
}

const openers = [
  'Selling my old parts.',
  'Clearing out the workshop.',
  'Moving house, must go this week.',
  'Hi all,',
  'Bought a new machine so this is spare.',
  'For sale:',
  '',
]
const pastOf = (chance: Chance, part: CataloguePart) =>
  chance.pick([
    'Works perfectly, was tested yesterday.',
    'Tested and working.',
    'Never overclocked.',
    'From a smoke free home.',
    `Came out of a ${chance.pick(['Meridon Desk 30 tower', 'gaming rig', 'office machine'])}.`,
    `I paid ${part.street + 60} new two years ago.`,
    `Retail was ${part.street + 90}.`,
    `Used it with a ${chance.pick(['Sallowfen 5400', 'Threddle 53', 'Tarn 560'])} without trouble.`,
    `Upgraded to a ${chance.pick(['Tarn 680', 'Stook 71', 'Sallowfen 6900'])}.`,
    'No box, no manual.',
    'Comes in the original box.',
    'Some dust, nothing bent.',
    'Happy to show it running.',
    'Light scratches.',
    '',
  ])
const endings = [
  'Pickup in Marrow Quay.',
  'Cash only.',
  'No trades please.',
  'Message me.',
  'First come first served.',
  'Pickup only, evenings.',
  'Thanks for looking',
  '',
]

function priceText(price: number, chance: Chance): string {
  return chance.pick([
    `Asking ${price}`,
    `asking $${price}`,
    `$${price}`,
    `${price} CAD`,
    `Price: ${price}`,
    `price ${price}.00 firm`,
    `${price} obo`,
    `I want ${price} for it`,
    `C$${price}`,
    `${price}$`,
    `yours for ${price}`,
    `${price} dollars`,
    `selling for ${price}`,
  ])
}

const plainName = (part: CataloguePart, chance: Chance) => title(part, 'clean', chance)

/** What a name says of postage by itself. */
const saysIncluded = (name: string) => /free postage|incl\. shipping/i.test(name)

function single(chance: Chance, stock: readonly CataloguePart[]): LabelledListing {
  const part = chance.pick(stock)
  const price = Math.max(5, Math.round(part.street * (0.8 + chance.share() * 0.5)))
  const condition = chance.weighted([
    ['used', 78],
    ['damaged', 8],
    ['new', 5],
    ['opened', 6],
    ['refurbished', 3],
  ] as const)
  const said = {
    used: chance.pick(['', '', 'used', 'second hand but fine']),
    damaged: chance.pick(['Sold for parts.', 'Not working, no display.', 'Untested, sold as seen.']),
    new: chance.pick(['Brand new, sealed.', 'still sealed']),
    opened: chance.pick(['Opened once, never fitted.', 'open box']),
    refurbished: 'refurbished by a shop',
  }[condition]
  const shipping = chance.happens(0.3) ? chance.pick([0, 8, 9.5, 12]) : null
  const posted =
    shipping === null
      ? ''
      : shipping === 0
        ? chance.pick(['Free shipping.', 'shipping included'])
        : chance.pick([`Shipping ${shipping}.`, `can ship for ${shipping}`, `${shipping} shipping`])
  const name = title(part, 'clean', chance)
  const price$ = priceText(price, chance)
  const body = [chance.pick(openers), said, pastOf(chance, part), posted, chance.pick(endings)].filter(
    (line) => line !== '',
  )
  const text = chance.weighted([
    [() => [name, '', price$, ...body].join('\n'), 4],
    [() => `${name} ${price$}\n${body.join(' ')}`, 3],
    [
      () =>
        `${chance.pick(['Selling my', 'For sale', 'Selling a', 'FS:'])} ${name}. ${body.join(' ')} ${price$}.`,
      3,
    ],
    [() => [name.toUpperCase(), ...body, price$].join('\n'), 1],
    [() => `${body.join('\n')}\n\n${name}\n${price$}`, 1],
  ] as const)()
  return { text, partIds: [part.id], price, condition, shipping: shipping ?? (saysIncluded(name) ? 0 : null) }
}

function lot(chance: Chance, stock: readonly CataloguePart[]): LabelledListing {
  const count = chance.whole(2, 4)
  const chosen: CataloguePart[] = []
  while (chosen.length < count) {
    const part = chance.pick(stock)
    if (!chosen.some((each) => each.role === part.role)) chosen.push(part)
  }
  const price = Math.round(chosen.reduce((sum, part) => sum + part.street, 0) * (0.6 + chance.share() * 0.4))
  const price$ = priceText(price, chance)
  const names = chosen.map((part) => plainName(part, chance))
  const text = chance.weighted([
    [
      () =>
        `${chance.pick(['PC parts bundle', 'Upgrade kit', 'Job lot of parts', 'Combo for sale'])}\n${names.map((name) => `- ${name}`).join('\n')}\n${price$} ` +
        'for everything',
      4,
    ],
    [() => `Selling together: ${names.join(', ')}. ${chance.pick(endings)} ${price$}`, 3],
    [() => `${names.join(' + ')}\n${price$}\n${chance.pick(endings)}`, 3],
    [() => `${chance.pick(openers)}\n* ${names.join('\n* ')}\nAll working. ${price$}`, 2],
    [
      () =>
        `${names.slice(0, -1).join(', ')} and ${names.at(-1)}. ${chance.pick(['Will not split.', 'Take it all.'])} ${price$}`,
      2,
    ],
  ] as const)()
  return {
    text,
    partIds: chosen.map((part) => part.id),
    price,
    condition: 'used',
    shipping: names.some(saysIncluded) ? 0 : null,
  }
}

/** Slips of a hurried hand: two letters swapped or one left out, in words without a figure, which nobody misreads at a glance. */
function withSlips(text: string, chance: Chance): string {
  return text.replace(/[a-z]{5,}/g, (word) => {
    if (!chance.happens(0.04)) return word
    const at = chance.whole(1, word.length - 2)
    return chance.happens(0.5)
      ? word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2)
      : word.slice(0, at) + word.slice(at + 1)
  })
}

const asides = [
  'Call after 18:00, not on Sundays.',
  'It never went over 62 degrees here.',
  'Has 3 years on it.',
  'I have 2 kids and no time for it any more.',
  'Scored 8500 in a test once.',
  'Bought on 12 March.',
  'Street number 14, second floor.',
  'Pick up within 3 days please.',
  'There is a bag of 20 screws with it.',
  'I can throw in an old mouse.',
  'Weighs about 2 kg packed.',
  'Seen it go for 40 more elsewhere.',
  'Will answer within 24 hours.',
  'Draws 160 W at most.',
  'My number is in the profile.',
  'Fits a case of 320 mm.',
  'Offers under half are not read.',
]

/** Chatter around what matters, in odd places and with figures that mean nothing. */
function withAsides(text: string, chance: Chance): string {
  const lines = text.split('\n')
  for (let left = chance.whole(1, 3); left > 0; left -= 1)
    lines.splice(chance.whole(1, lines.length), 0, chance.pick(asides))
  return lines.join('\n')
}

/** A lot told as a story, or as a list with a price a piece and a sum. */
function toldLot(chance: Chance, stock: readonly CataloguePart[]): LabelledListing {
  const plain = lot(chance, stock)
  const names = plain.partIds.map((id) =>
    plainName(
      stock.find((part) => part.id === id)!,
      chance,
    ),
  )
  const { price } = plain
  const [first, second, ...others] = names as [string, string, ...string[]]
  const each = names.map(
    (name, index) => `${name}: ${Math.max(5, Math.round(price / names.length) + 7 * index)}`,
  )
  const text = chance.pick([
    () =>
      `Clearing a drawer.\nThere is the ${first}\nthen a ` +
      `${second}${others.map((name) => `\nand the ${name}`).join('')}\nall for ${price} CAD, works`,
    () => `${each.join('\n')}\nAsking ${price} for everything`,
    () =>
      `Upgrade bundle\n${names.map((name, index) => `${index + 1}) ${name}`).join('\n')}\nprice: ${price}`,
    () =>
      `hi, i have a ${first}, also a ` +
      `${second}${others.map((name) => `, also the ${name}`).join('')}. everything works. ` +
      `${price} CAD takes it`,
  ])()
  return {
    text,
    partIds: plain.partIds,
    price,
    condition: 'used',
    shipping: names.some(saysIncluded) ? 0 : null,
  }
}

/** Listings in many human styles, three of ten of them lots; half of them with chatter, slips of the hand, small letters. */

export function labelledListings(seed: number, count: number): LabelledListing[] {
  const chance = makeChance(seed)
  const stock = catalogue.filter((part) => part.sales > 0 && part.role !== 'donor')
  return Array.from({ length: count }, () => {
    const listing = chance.happens(0.3)
      ? chance.happens(0.5)
        ? toldLot(chance, stock)
        : lot(chance, stock)
      : single(chance, stock)
    if (chance.happens(0.5)) return listing
    const text = withSlips(withAsides(listing.text, chance), chance)
    return { ...listing, text: chance.happens(0.3) ? text.toLowerCase() : text }
  })
}
