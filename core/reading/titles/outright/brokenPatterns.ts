import { either } from '../../../text/either'
import type { Outright } from './outright'

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

  {
    // what was once, and what somebody thinks of it
    pattern: either(
      /\bnow (?:nothing|dead|it (?:doesn'?t|won'?t|does not)|shows nothing)\b|\bnothing (?:happens|now|at all)\b/,
      /\b(?:worked|working) when (?:pulled|removed|last|taken)\b|\bno way (?:of |to )?test/,
      /\b(?:i think|probably|maybe|could be|suspect) (?:it'?s |it is )?(?:the |a )?(?:vram|memory|bios|caps?|capacitor|core|fan|cable|power|board|psu|driver|controller)\b/,
      /\b(?:not sure|unsure|no idea|don'?t know) (?:if|whether|that)\b|\bunsure$|\bcan'?t get it\b|\bcannot get it\b/,
      /\b(?:easy|simple|quick) (?:fix|repair)\b|\brepairers?\b|\btinkerers?\b|\b(?:hobby|repair|restoration) project\b|\bproject$/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'nobody knows whether it works',
  },
  {
    pattern: either(
      /\b(?:at|with) (?:low|lower|reduced) clocks?\b|\bneeds? (?:an? )?(?:under ?clock\w*|under ?volt\w*|straighten\w*|bios|baking)\b/,
      /\b(?:only )?without (?:the )?drivers?\b|\bthen (?:black|freezes|crashes|dies|nothing|off)\b/,
      /\bpads? missing(?! \w)|\b(?:one|1|two) of the (?:fans?|ports?|slots?|sticks?)\b|\bonly (?:\d|one|two|three) \w{2,8} works?\b/,
      /\b(?:shows?|with) snow\b|\b(?:green|purple|pink|red|blue) (?:screen|dots?|lines?|pixels?|squares?)\b|\btiles on\b/,
      /\b(?:orange|amber|blinking|flashing|error) (?:light|led|lamp)\b|\bred light\b|\bbeeps\b|\bled (?:is )?stuck\b|\bstuck (?:in|to|on|at)\b/,
      /\b(?:once in a while|now and then|from time to time)\b|\b(?:boots|works|posts|starts|runs) (?:only )?sometimes\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it works in part',
  },
  {
    pattern: either(
      /(?<!\bprices? )(?<!\breduced and )\bdropped\b(?! (?:the )?price| to \d)|\bhad a (?:bath|drink|fall|shower)\b|\bflood(?:ed)?\b|\bpeed\b/,
      /\b(?:fans?|it) (?:don'?t|doesn'?t|does not|do not|won'?t) (?:turn|spin|start|move)\b|\bburn(?:t|ed)? spots?\b/,
      /\bmissing (?:capacitors?|resistors?|caps|components?|smds?)\b|\b(?:scratched|cut|damaged|broken) traces?\b|\btraces? (?:is |are )?(?:cut|damaged|broken)\b/,
      /\b(?:buzzing|buzzes|humming|screeching|squealing|whines?) ?(?:loud(?:ly)?|badly|a lot|under load)?$|\b(?:12|5|3\.3) ?v (?:rail )?(?:is )?(?:low|dead|missing|out)\b/,
      /\b(?:gets lost|drops out|falls? off the bus|won'?t format|can'?t (?:write|read|format)|cannot (?:write|read|format))\b/,
      /\b(?:bios|windows|pc|computer|system) (?:doesn'?t|does not|won'?t|can'?t|cannot) (?:see|find|detect|read)\b/,
      /\b(?:supervisor|admin|bios|hdd|drive) (?:password|pw|locked)\b|\blocked (?:admin|bios|drive)\b|\bparts? gone\b|\bgutted\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'something of it is broken',
  },
  {
    pattern: /\b(?:one|single|1) channel$|\bonly one channel\b/,
    roles: ['motherboard', 'cpu'],
    reason: 'condition',
    says: 'half of it works',
  },
  {
    pattern:
      /\bwill not (?:give|boot|start|turn|power|run|work|detect|spin|show|display|update|flash|train|post$|format|initiali[sz]e|recogni[sz]e)\b/,
    roles: 'all',
    reason: 'condition',
    says: 'it does not work',
  },
  {
    pattern: either(
      /\berkennt (?:\w+ ){1,2}nicht\b|\b(?:nur|bara|seulement|solo|only) (?:noch )?(?:ein|eine|en|un|une|una|one) \w+ (?:geht|funktioniert|lauft|fungerar|funkar|marche|fonctionne|funciona|works)\b/,
      /\bhot ?spot (?:of |at |is )?1[0-2]\d\b|\brepasted (?:it )?badly\b|\b(?:post|error|debug) code\b|\bcode \d\d\b|\breads (?:only )?half\b/,
      /\bcables? (?:are |were )?cut\b|\bcut cables?\b|\bonly (?:usable|useable|good) (?:as|for)\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it works in part',
  },
  {
    pattern: either(
      /\bbildfehlern?\b|\b(?:zeigt|mit|macht) streifen\b|\b(?:lignes|lineas|linjer|rander) (?:a l'ecran|en pantalla|pa skarmen)\b/,
      /\breparatur ?bedurftig\b|\b(?:till|for) reparation\b|\b(?:flimmert|ruckelt|hangt sich auf|sturzt ab|geht aus|startet neu)\b/,
      /\b(?:clignote|plante|s'eteint|redemarre|parpadea|se apaga|se reinicia|se cuelga|flimrar|hanger sig|stanger av sig|startar om)\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it works in part',
  },
]
