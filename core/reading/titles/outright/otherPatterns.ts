import type { Role } from '../../../parts/part'
import { either } from '../../../text/either'
import type { Outright } from './outright'

const carriesFrames: readonly Role[] = ['graphics', 'cpu']

/** Titles of another model, of somebody who wants one, of no offer at all. */
export const otherPatterns: readonly Outright[] = [
  {
    pattern: either(
      /\bwater ?-?cooled\b|\bwassergekuhlt\b|\brefroidi par eau\b|\bvattenkyld\b/,
      /\b(?:incl\.?|with|mit|inkl\.?) (?:ek |water ?)?block\b/,
    ),
    roles: ['graphics'],
    reason: 'wrong-variant',
    says: 'with a block for water',
  },
  {
    pattern: either(
      /\b(?:shunt |vram |bios )?modded\b|\breflashed\b|\bmodded (?:to|bios)\b|\bfake\b/,
      /\bcounterfeit\b/,
    ),
    roles: ['graphics', 'cpu', 'storage', 'motherboard'],
    reason: 'wrong-variant',
    says: 'changed, or not what it says',
  },
  {
    pattern: either(
      /\bor similar\b|\bcash (?:\+|and|plus) (?:my|your|old)\b|^(?:please|pls) /,
      /\bmust be (?:cheap|under)\b/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'somebody wants one',
  },
  {
    pattern: either(
      /\bagainst (?:your|a|an)\b|^not\b(?! (?:used|mined|from|a mining|opened|overclocked))|\bclass performance\b|\bremarked\b|\brelabell?ed\b/,
      /\b(?:raid|stack|box|pile|bag|pallet|array|crate) of\b/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'not one such thing for money',
  },
  {
    pattern: either(
      /\ball[- ]in[- ]one\b|\btouch(?: ?screen)?\b|\bguts\b|\bno case\b/,
      /\bpower (?:switch|button)\b/,
    ),
    roles: ['donor'],
    reason: 'wrong-variant',
    says: 'another thing, or a piece of it',
  },
  {
    // `Quill 70 Super 8GB`, and not `super quiet`
    pattern: /\d super(?=$| \d| oc\b|,)/,
    roles: ['graphics', 'cpu'],
    reason: 'wrong-variant',
    says: 'another model',
  },
  {
    // `Quill 70 like performance card`
    pattern: /\d (?:like|class|level|tier|beating|rival) (?:performance|card|gpu|speed|cpu)\b/,
    roles: carriesFrames,
    reason: 'unwanted-word',
    says: 'compares',
  },
  {
    pattern: /\d(?: ?gb| ?tb| ?w)? (?:needed|required|benotigt|gebraucht gesucht|behovs)$/,
    roles: 'all',
    reason: 'unwanted-word',
    says: 'somebody wants one',
  },
  {
    pattern: /\b(?:8|16|32|4) ?gb (?:stick|module|modul|riegel|barrette|dimm)\b(?!s).*\bfrom (?:a|my|the)\b/,
    roles: ['memory'],
    reason: 'wrong-variant',
    says: 'one out of a kit',
  },

  {
    pattern: either(
      /^px my\b|(?<!\bor )\bpart ?-?(?:ex|exchange)\b|\bpx\b|^after an?\b|^who sells\b|^sell (?:us|me)\b|\(?searching\)?$|\d please$/,
      /\bsold(?:!|,)? (?:thanks|thank you|already|pending|elsewhere)\b|\bbest price paid\b|\d or better$|\banybody$|\banyone$/,
      /\b(?:or|for) offers? of an?\b|\bupgrade to (?:a )?\d|\bfor your \d|<-?>|->/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'somebody wants or swaps one',
  },
  {
    // `Dovecote Pro 5300`: the word of the dearer line, before the number
    pattern: /\b[a-z]{3,} pro \d{3,4}\b|\d oem pro\b/,
    roles: carriesFrames,
    reason: 'wrong-variant',
    says: 'another model',
  },
  {
    pattern: /\bups\b|\bredundant\b|\bflex(?:[- ]?atx)?\b|\bserver\b/,
    roles: ['supply'],
    reason: 'wrong-variant',
    says: 'another kind',
  },
  {
    pattern: either(
      /\bsshd\b|\bpen ?drive\b|\bmemory (?:card|stick)\b|\busb ?stick\b|\d ?tb stick\b|\bthunderbolt\b|\bcf ?express\b/,
      /\bhandheld\b|\bconsole (?:kit|version|edition)\b|\b2230\b|\bu\.? ?2\b(?! ?x)/,
    ),
    roles: ['storage'],
    reason: 'wrong-variant',
    says: 'another kind',
  },
  {
    pattern: either(
      /\binzahlungnahme\b|\bin zahlung\b|\bvill ha\b|\bj'?echange\b|^recherchons\b|^kjopes\b|\bwer verkauft\b|\bbuscado$/,
      /\bvad (?:ar|kostar)\b|\bcombien (?:vaut|coute)\b|\bcuanto (?:vale|cuesta)\b|\bwas kostet\b|\bgegen (?:eine? )?\d{2,4}\b|\btauschen\b/,
      /\bnot for sale\b|\bnicht zu verkaufen\b/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'no offer of one for money',
  },
  {
    // a card without a way out of it
    pattern: either(
      /\bheadless\b|(?<!\b(?:no|not|never)(?: an?)? )\bmining (?:edition|card|version)\b|\bvideo out removed\b|\b(?:no|without) (?:hdmi|display|video) (?:ports?|outputs?)\b|\bno (?:hdmi|dp)$/,
      /\bmodified v?bios\b|\bv?bios (?:mod|modified|flashed for)\b/,
    ),
    roles: ['graphics'],
    reason: 'wrong-variant',
    says: 'another model, or changed',
  },
]
