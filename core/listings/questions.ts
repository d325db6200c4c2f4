import type { Role } from '../parts/part'

/** What a buyer wants to know of a part, and the words by which a listing has said it already. */
const wanted: Partial<Readonly<Record<Role, readonly (readonly [question: string, saidBy: RegExp])[]>>> = {
  cpu: [['Are all pins or pads straight and clean?', /pins?|pads?/i], ['Does a cooler come with it?', /cooler|fan|heatsink/i]],
  motherboard: [['Is the shield for the back there?', /shield/i], ['Which firmware version is on it?', /bios|firmware|uefi/i], ['Are all memory slots tried?', /slots?/i]],
  memory: [['Is it one kit, bought together?', /kit|pair|matched/i]],
  graphics: [['Was it used for mining?', /min(ing|ed)/i], ['Do all fans turn and all outputs work?', /fans?|outputs?/i], ['Has the paste or a pad been changed?', /paste|pads?/i]],
  storage: [['How many hours and how much written does it report?', /hours|\bh\b|written|tbw|health/i]],
  supply: [['How old is it?', /years?|old|20[12]\d/i], ['Are all leads there?', /leads?|cables?/i]],
  case: [['Are all panels, screws and feet there?', /panels?|screws?/i]],
  cooler: [['Is the mount for my socket there?', /mount|brackets?|socket/i]],
  donor: [['Is the firmware without a password?', /password|locked|unlocked/i], ['What is inside: CPU, memory, drive?', /cpu|processor|ram|ssd|hdd/i]],
}

/** Questions to the seller: what a listing of these roles does not say. Never more than six, each once. */
export function questionsFor(roles: readonly Role[], text: string): string[] {
  const general: [string, RegExp][] = [['Does it work, and can I see it running?', /work|tested|running|boots?/i], ['Why are you selling it?', /upgrad|selling because|no longer|moving/i]]
  const all = [...general.slice(0, 1), ...roles.flatMap((role) => wanted[role] ?? []), ...general.slice(1)]
  return [...new Set(all.filter(([, saidBy]) => !saidBy.test(text)).map(([question]) => question))].slice(0, 6)
}
