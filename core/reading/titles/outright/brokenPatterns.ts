import { either, type Outright } from './outright'

/** Titles that say of the thing that it works in part, or that nobody knows. */
export const brokenPatterns: readonly Outright[] = [
  {
    pattern: either(
      /\b(?:could|can|cannot|can'?t|couldn'?t) ?(?:not )?verify\b|\bnot verified\b/,
      /\bburn(?:t)? marks?\b|\bwobbly\b|\bsometimes (?:boots|works|posts|starts)\b/,
      /\bhalf (?:its|the) (?:cores|fans|ports)\b|\bonly (?:one|1) (?:memory )?channel\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'not all of it works, or nobody knows',
  },
  {
    pattern: either(
      /\b(?:works|boots|runs) until\b|\bonly (?:boots|works|runs) (?:without|at|in|on)\b/,
      /\bloud bang\b|\bwent bang\b|\bsmoke smell\b|\bsmells of smoke\b|\bmagic smoke\b/,
      /\bsparks\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it works in part, or burnt',
  },
  {
    // `2 of 3 ports working`
    pattern:
      /\b(?:[1-5]|one|two|three) (?:of|out of) (?:[2-6]|two|three|four) (?:ports?|fans?|slots?|outputs?|sticks?)\b/,
    roles: 'all',
    reason: 'condition',
    says: 'some of it works',
  },
  {
    pattern: either(
      /\bnot (?:showing|showing up|seen|found|read|readable|shown|registering)\b/,
      /\b(?:doesn'?t|does not|won'?t|will not) show(?: up)?\b|\bunreadable\b/,
      /\b(?:don'?t|doesn'?t|does not|won'?t) spin\b|\b(?:doesn'?t|does not|won'?t) pass\b/,
      /\bshut ?downs\b|\block(?:ed)? by\b|\bencrypted and locked\b/,
      /\bspeicher ?controller defekt\b|(?<!\b(?:keine|ohne|no|inga|sin) )\bdefekte[rsnm]?\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it is not seen, locked or faulty',
  },
]
