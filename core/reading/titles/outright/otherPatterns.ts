import type { Role } from '../../../parts/part'
import { either, type Outright } from './outright'

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
      /\bagainst (?:your|a|an)\b|^not\b|\bclass performance\b|\bremarked\b|\brelabell?ed\b/,
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
]
