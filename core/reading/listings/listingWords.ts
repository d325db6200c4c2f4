/** What listings say of a thing besides what it is, by the word Tarvin keeps it under; plain words of five languages. */

/** Things that come along, or are missing. */
export const pieceWords: Readonly<Record<(typeof pieceNames)[number], RegExp>> = {
  shield: /\b(i\/?o[- ]?(shield|plate|blende)|io shield|rear shield|shield|backplate for the ports|blende)\b/,
  screws: /\b(screws?|schrauben|vis|tornillos|skruvar|stand-?offs)\b/,
  panel:
    /\b(side ?panels?|seitenteil|seitenwand|panneau( lateral)?|panel lateral|sidopanel|glass panel|panel)\b/,
  bracket: /\b(brackets?|halterung|equerre|soporte|faste|low profile plate)\b/,
  mount:
    /\b(mount(ing)?( kit| hardware| brackets?)?|montageset|montagesatz|kit de (montage|fixation)|monteringskit|mounts)\b/,
  cables: /\b(cables?|kabel\w*|cordons?|sladd\w*|leads?|wires|power cord|cord|cable set)\b/,
  box: /\b(box|ovp|originalverpackung|originalkarton\w*|carton|boite|caja|kartong|originalkartong|packaging|verpackung|emballage)\b/,
  drive:
    /\b(hard ?(drive|disk)s?|drives?|ssds?|hdds?|festplatte|disque( dur)?|disco( duro)?|harddisk|storage)\b/,
  cooler: /\b(coolers?|heatsink|stock fan|kuhler|ventirad|disipador|kylare)\b/,
  licence: /\b(licen[cs]e( key)?|lizenz|licencia|licens|product key|activated system)\b/,
  receipt: /\b(receipt|invoice|proof of purchase|rechnung|facture|factura|kvitto|bill)\b/,
}
export const pieceNames = [
  'shield',
  'screws',
  'panel',
  'bracket',
  'mount',
  'cables',
  'box',
  'drive',
  'cooler',
  'licence',
  'receipt',
] as const
export type PieceName = (typeof pieceNames)[number]

/** Said before a piece: it is not there. */
export const lacking =
  /\b(no|without|missing|lacks?|lacking|minus|not included|ohne|kein(e|en)?|fehlt|fehlen|sans|manque|pas de|sin|falta|utan|saknas|saknar|inget|inga|ingen|doesn'?t (come with|have|include)|does not (come with|have|include)|needs an?|except( for)? the|not the)\b/
/** Said behind a piece: it is not there. */
export const lackingAfter =
  /^\s*(is |are |was )?(not included|missing|fehlt|fehlen|manquante?s?|not there|gone|saknas|ingar ej|ingar inte|nicht dabei|no incluid[oa]|lost)\b/
/** Said before a piece: it comes along. */
export const coming =
  /\b(with|w\/|incl\.?|including|includes?|included|comes with|come with|plus|and|\+|mit|inkl\.?|inklusive|samt|avec|inclus|fourni|con|incluye|med|ingar|all|both|original|complete with|has|have|got|in)\b/
export const comingAfter =
  /^\s*((and|und|et|y|och|,|&|\+)\s+[a-z]+\s+){0,2}(is |are )?(included|incl\.?|there|dabei|inklusive|incluse?s?|incluid[oa]s?|ingar|medfoljer|provided|comes too)\b/

/** What is wrong with a thing, surest first. */
export const defectWords: Readonly<Record<(typeof defectNames)[number], RegExp>> = {
  'bent-pins':
    /\bbent (socket )?pins?|pins? (are |is )?bent|verbogener? (pins?|beinchen)|(pins?|beinchen) verbogen|(pins?|broches?) (pliee?s?|tordue?s?)|(pines|patas) dobladas?|pines doblados|bojda (pinnar|ben)/,
  locked:
    /\b(firmware|bios|admin|boot|system) (password|locked)|password[- ](locked|protected|set)|locked (firmware|bios)|passwort gesperrt|\blocked\b/,
  artefacts:
    /\bart[ei]facts?\b|artifacting|artefacting|\blines on (the )?screen|bildfehler|shows lines|artefakter|artefactos|artefakte/,
  crash:
    /\bcrash(es|ing|ed)?\b|blue ?screens?|freezes|shuts (down|off)|restarts? by itself|sturzt ab|plante|se cuelga|kraschar|hanger sig/,
  'no-start':
    /\b(no|does ?n[o']t|does not|won'?t|will not|stopped|nicht) (post|boot|start(ing)?|turn on|power on)|not (booting|starting|posting)|no (post|boot|power(?! (cord|cable|supply|lead|adapter|brick)))|startet nicht|ne (demarre|s'allume) pas|no (enciende|arranca)|startar (inte|ej)|stopped starting/,
  noise:
    /\b(nois[ey]|loud|rattl\w*|whin\w*|click(s|ing)|buzz\w*|coil whine|laut|bruyante?|ruidoso|ruido|oljud|later|clicks)\b/,
  cracked:
    /\b(crack(ed|s)?|chipped|broken (glass|panel|plastic|clip)|gebrochen|riss|fissure|agrietad[oa]|sprucken|sprickor)\b/,
  other:
    /\b(dead (port|slot|channel|fan)|broken (fan|port)|rust(ed|y)?|corro\w+|water damage|worn bearing|defekt|faulty|fault|damaged|hs\b|trasig|averiad[oa]|en panne)\b/,
}
export const defectNames = [
  'bent-pins',
  'locked',
  'artefacts',
  'crash',
  'no-start',
  'noise',
  'cracked',
  'other',
] as const
export type DefectName = (typeof defectNames)[number]

export const doubtful =
  /\b(should (still )?work|should be (fine|ok|working)|probably works?|i (think|believe|guess)( that)?( it)?( still)?|as far as i know|powers? on|turns on|lights up|fans? spins?|must hit|have to hit|need to hit|you must|sometimes|works?,? but|worked (last|when|fine when)|last time i|used to work|was working|worked (before|in)|not sure|no way to (check|test)|supposed to work|sollte (noch )?(funktionieren|gehen|laufen)|devrait fonctionner|deberia funcionar|borde fungera|only tested that|most of the time|under load sometimes|funktionierte|could not (fully )?test|not fully tested|hit or miss|partly works)\b/
export const unsure =
  /\b((have )?no idea (if|whether) it|untested|not tested|un-tested|nicht getestet|ungetestet|non teste|pas teste|sin probar|no probado|otestad|otestat|ej testad|unchecked|no machine to (try|test)|cannot test|can'?t test|unable to test|not checked|haven'?t tested)\b/
export const broken =
  /\b(not working|does ?n[o']t work|does not work|doesn't work|broken|dead|defekt|kaputt|faulty|for parts|parts only|not detected|no (post|display(?! ?port)|picture|signal|boot|power(?! (cord|cable|supply|lead|adapter|brick)))|won'?t (boot|post|start|turn on)|does not (boot|post|start|turn on)|not (booting|posting|recognised|recognized)|hs\b|hors service|en panne|ne (fonctionne|marche|demarre) (pas|plus)|pour pieces|no funciona|averiad[oa]|para piezas|trasig\w*|fungerar (ej|inte)|startar (inte|ej)|sonder|bastler|stopped (working|starting)|nicht funktionsfahig|funktioniert nicht|startet nicht|black screen|failing|spares)\b/
export const working =
  /\b(works?|working|tested( and)?( working| good| ok)?|no (issues|problems|errors|faults)|never (had|gave|any) (me )?(an?|any|one|single)* ?(issue|problem|trouble)s?|passe[sd] (memtest|all|every|the|a) ?\w*|fully functional|functions|runs?|ran (fine|well|great)|boots?( fine)?|posts?( and boots)?|running (fine|well|stable)|all (fine|good)|both fine|funktioniert|funktionieren|funktionstuchtig|einwandfrei|lauft|getestet|voll funktionsfahig|fonctionne(nt)?|marche|teste|fonctionnel\w*|funciona(n)?|probad[oa]|funcionando|fungerar|fungerande|testad|testat|felfritt|stable|health good|does what it should|perfect condition|as it should|otherwise (fine|ok))\b/
