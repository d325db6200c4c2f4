import { phrases } from '../../text/phrases'
import type { LanguageWords } from './languageWords'

export const swedish: LanguageWords = {
  months: [
    ['januari', 'jan'],
    ['februari', 'feb'],
    ['mars', 'mar'],
    ['april', 'apr'],
    ['maj'],
    ['juni', 'jun'],
    ['juli', 'jul'],
    ['augusti', 'aug'],
    ['september', 'sept', 'sep'],
    ['oktober', 'okt'],
    ['november', 'nov'],
    ['december', 'dec'],
  ],
  today: ['idag', 'i dag', 'nyss'],
  yesterday: ['igar', 'i gar'],
  ago: ['for', 'sedan'],
  units: {
    hour: ['timmar', 'timme', 'tim', 'minuter', 'minut'],
    day: ['dagar', 'dag', 'dygn'],
    week: ['veckor', 'vecka'],
    month: ['manader', 'manad', 'man'],
    year: ['ar'],
  },
  besideDate: phrases(`
    den, kl, datum, avslutad, avslutades, slutade, mandag, tisdag, onsdag, torsdag, fredag, lordag, sondag,
    man, tis, ons, tors, tor, fre, lor, son, inlagd, en, ett, auktionen
  `),
  sold: [
    'sald',
    'salt',
    'salda',
    'sald for',
    'saldes',
    'saldes for',
    'salt for',
    'avslutad',
    'vinnande bud',
    'slutpris',
    'sald den',
    'solgt',
    'solgt for',
  ],
  shipping: [
    'frakt',
    'paket',
    'sparbart paket',
    'porto',
    'fraktkostnad',
    'skickas',
    'leverans',
    'plus frakt',
    'exkl frakt',
    'fragt',
    'sendes',
  ],
  freeShipping: phrases(`
    fri frakt, fraktfritt, gratis frakt, inkl frakt, frakt ingar, inklusive frakt, frakt inkluderad,
    frakten ingar, frakt fri
  `),
  pickup: phrases(`
    hamtas, hamtad, hamtat, avhamtas, avhamtning, endast avhamtning, endast hamtning, hamtas pa plats, endast upphamtning,
    kan endast hamtas, upphamtning, avhamtas pa plats, hamtning
  `),
  importCharges: ['tull', 'moms', 'kopskydd', 'importavgift'],
  besidePrice: phrases(`
    pris, slutpris, kr, kronor, nu, endast, bud, ledande bud, vinnande bud, for, ca, fast pris, utropspris,
    hogsta bud, prutbart, ej prutbart, kop nu, bara, pris:, sald for
  `),
  notThePrice: phrases(`
    nypris, utrop, kopskydd, avgift, ord pris, ordinarie, var, forr, tidigare, ungefar, cirka, fran,
    per manad, nytt kostar, kostade, utropspris, startpris, innan
  `),
  nowPrice: ['nu', 'sald', 'salt', 'slutbud', 'slutpris', 'sald for', 'vinnande bud', 'sankt till'],
  hiddenPrice: phrases(`
    prisforslag accepterat, bud accepterat, hogstbjudande, forslag accepterat, pris enligt overenskommelse,
    prisforslag godkant
  `),
  each: ['styck', 'st', 'per styck', 'per st', '/st'],
  auction: ['bud', 'auktion', 'ledande bud', 'vinnande bud', 'hogsta bud'],
  fixedPrice: ['kop nu', 'fast pris', 'prisforslag', 'kop direkt', 'fastpris', 'eller prisforslag'],
  state: {
    new: phrases(`
      ny, nytt, helt ny, oanvand, oanvant, obruten, ny i kartong, helt nytt, forseglad, plomberad
    `),
    opened: phrases(`
      oppnad, oppnat, oppnad kartong, ny (annat), ny annat, demoexemplar, uppackad, endast oppnad
    `),
    refurbished: ['renoverad', 'rekonditionerad', 'renoverat', 'rekond', 'renoverad av saljaren'],
    used: phrases(`
      begagnad, bra, mycket bra, begagnat, nyskick, som ny, gott skick, bra skick, mycket gott skick, fungerar, testad,
      testat, anvand, fint skick, i nyskick, sparsamt anvand, fungerande, mycket bra skick, okej skick,
      godtagbart skick, lite anvand, beg, gott begagnat skick, begagnat skick, brugt, brukt, pent brukt, i god stand
    `),
    damaged: phrases(`
      funkar ej, fungerar ej, funkar inte, fungerar inte, trasig, trasigt, for reparation,
      behover lagas, gar inte igang, tander inte, defekt, reservdel, reservdelar, som reservdel,
      otestad, otestat, fungerar ej, fungerar inte, sonder, ej fungerande, for delar, startar inte,
      startar ej, ingen bild, skadad, reparationsobjekt, ej testad, renoveringsobjekt, ej testat,
      for reservdelar, reservdelsobjekt, bildfel, artefakter, bojda pinnar, bojda pins, skadat,
      glapp, kranglar, kraschar, overhettar, vattenskadad, otestade, sonderslagen, sprucken, dod,
      dott, doda, fel, felaktig, saknar bild, bootar inte, bootar ej, hackar, flimrar, skramlar,
      daliga sektorer, instabil, ej provad, oprovad, obeprovad, bor repareras, till delar,
      som delar, reparatursats, okant skick, skick okant, flakt trasig, trasig flakt, saknar pinne,
      ger ingen bild, gar inte igang, testad ej, syns inte, syns ej, hittas inte, hittas ej,
      som den ar, som det ar, i befintligt skick, befintligt skick, streck pa skarmen,
      rander pa skarmen, slocknar, stanger av sig, hanger sig, lost bios, svart skarm, doda pixlar,
      helt dod, lacker, snurrar inte, snurrar ej, valdigt varm, blir for varm, behover ny, surrar,
      ben av, ett ben borta, gnisslar, later illa, losenord i bios
    `),
  },
  denies: ['inga', 'ingen', 'inget', 'utan', 'ej', 'inte', 'aldrig'],
  putRight: ['lagad', 'reparerad', 'utratade', 'bytt', 'atgardat', 'lagat'],
  aboutSeller: phrases(`
    fran, saljare, plats, ort, salt av, skickas fran, objektnr, saljs av, finns i
  `),
  pageNoise: phrases(`
    annons, sponsrad, visa mer, resultat, bevaka, ny annons, fler, filtrera, sortera, se beskrivning, spara,
    betald annons, salda objekt, privat, foretag, privatperson, foretagssaljare, avslutad, avslutade, sida, liknande,
    liknande annonser, oppnas i nytt fonster, visa liknande, omdomen
  `),
  shopPage: phrases(`
    i lager, ej i lager, lagg i varukorg, lagg i varukorgen, slut i lager, omdomen, bevaka, leverans,
    bestallningsvara, kop nu
  `),
  asked: phrases(`
    inlagd, upplagd, saljes, prutat och klart, fast pris, hogstbjudande, hamtas
  `),
  scoreColumn: ['poang', 'resultat'],
  wanted: [
    'sok',
    'byta',
    'bytes',
    'koper',
    'kopes',
    'sokes',
    'soker',
    'letar efter',
    'bytes',
    'onskas',
    'kop',
    'byter',
    'byte mot',
    'kopa',
  ],
  machine: phrases(`
    dator, speldator, komplett dator, stationar dator, gamingdator, laptop, barbar dator, stationar,
    minidator, kontorsdator, arbetsstation
  `),
  includes: ['med', 'inkl', 'inklusive', 'ingar', 'och'],
  joins: ['och', 'med', 'samt', 'plus'],
  forThe: ['for', 'till', 'passar', 'passar till'],
  choice: ['eller', 'valfri', 'valj', 'olika', 'flera'],
}
