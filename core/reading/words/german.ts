import { phrases } from '../../text/phrases'
import type { LanguageWords } from './languageWords'

export const german: LanguageWords = {
  months: [
    ['januar', 'jan', 'jaenner'],
    ['februar', 'feb'],
    ['marz', 'maerz', 'mrz', 'mar'],
    ['april', 'apr'],
    ['mai'],
    ['juni', 'jun'],
    ['juli', 'jul'],
    ['august', 'aug'],
    ['september', 'sept', 'sep'],
    ['oktober', 'okt'],
    ['november', 'nov'],
    ['dezember', 'dez'],
  ],
  today: ['heute', 'gerade eben'],
  yesterday: ['gestern'],
  ago: ['vor'],
  units: {
    hour: ['stunden', 'stunde', 'std', 'minuten', 'minute'],
    day: ['tagen', 'tag', 'tage', 'tg'],
    week: ['wochen', 'woche'],
    month: ['monaten', 'monat', 'monate'],
    year: ['jahren', 'jahr'],
  },
  besideDate: phrases(`
    am, um, uhr, beendet, endete, den, datum, montag, dienstag, mittwoch, donnerstag, freitag, samstag,
    sonntag, mo, di, mi, do, fr, sa, so, einem, einer, eingestellt, seit, beendet am, auktion, artikel, bis,
    ende
  `),
  sold: ['verkauft', 'verkauft am', 'verkauft fur', 'verkauft um', 'abverkauft', 'zuschlag'],
  shipping: phrases(`
    versand, vers, versandkosten, lieferung, porto, zzgl versand, zzgl, versende, lieferkosten,
    versicherter versand, paket, versand moglich, versand gegen aufpreis
  `),
  freeShipping: phrases(`
    versandkostenfrei, kostenloser versand, gratis versand, versand gratis, versand kostenlos, inkl versand,
    versand inklusive, portofrei, kostenlose lieferung, inklusive versand, versand frei, incl versand,
    versand inkl, gratisversand
  `),
  pickup: phrases(`
    nur abholung, abgeholt, abholung, selbstabholung, nur selbstabholung, an selbstabholer, nur an selbstabholer,
    kostenlose abholung
  `),
  importCharges: ['einfuhrabgaben', 'zoll', 'kauferschutz', 'einfuhrumsatzsteuer', 'mwst', 'importkosten'],
  besidePrice: phrases(`
    preis, vb, vhb, fp, festpreis, fur, nur, jetzt, euro, verhandlungsbasis, endpreis, gebot, endgebot,
    hochstgebot, sofort, zu, von, oder preisvorschlag, preisvorschlag, preis:, verkauft fur, sofortkauf,
    inkl, zuschlag bei
  `),
  notThePrice: phrases(`
    vb, vhb, neupreis, kauferschutz, gebuhr, gebuhren, np, uvp, statt, war, ursprunglich, ehemals,
    ca, circa, ab, monatlich, gekostet, ungefahr, etwa, kostete, bisher, vorher, originalpreis,
    startpreis
  `),
  nowPrice: ['jetzt', 'nun', 'endpreis', 'verkauft', 'verkauft fur', 'zuschlag bei', 'reduziert auf'],
  hiddenPrice: phrases(`
    preisvorschlag akzeptiert, preisvorschlag angenommen, preis auf anfrage,
    preisvorschlag wurde angenommen, angebot angenommen, gegen gebot
  `),
  each: ['je', 'pro stuck', 'pro stk', 'stuckpreis'],
  auction: ['gebote', 'letztes gebot', 'gebot', 'auktion', 'hochstgebot', 'versteigert', 'versteigerung'],
  fixedPrice: phrases(`
    sofort kaufen, sofort-kaufen, festpreis, sofortkauf, preisvorschlag, vb, oder preisvorschlag,
    sofort-kauf
  `),
  state: {
    new: phrases(`
      neu, fabrikneu, nagelneu, neu und versiegelt, originalverpackt, neu ovp, unbenutzt, ungeoffnet,
      versiegelt, brandneu, neu in ovp, neu & ovp, neuware
    `),
    opened: phrases(`
      geoffnet, neu sonstige, neu: sonstige, neu (sonstige), vorfuhrer, ausgepackt, b-ware, neu geoffnet,
      nur geoffnet
    `),
    refurbished: phrases(`
      generaluberholt, refurbished, aufbereitet, instandgesetzt, vom verkaufer generaluberholt, uberholt,
      wiederaufbereitet
    `),
    used: phrases(`
      gebraucht, neuwertig, wie neu, sehr gut, gut, getestet, funktioniert, funktionsfahig,
      voll funktionsfahig, top zustand, guter zustand, sehr guter zustand, benutzt, gebrauchsspuren,
      einwandfrei, akzeptabel, in ordnung, gebraucht - gut, leichte gebrauchsspuren, funktionstuchtig,
      gebraucht - sehr gut, gebraucht - wie neu
    `),
    damaged: phrases(`
      defekt, kaputt, streikt, zur reparatur, zum reparieren, geht nicht mehr, geht nicht an,
      lauft nicht an, tut nicht, macht nichts, beschadigt, ungetestet, fur bastler, an bastler,
      bastler, ersatzteil, als ersatzteil, ersatzteile, als ersatzteil / defekt,
      als ersatzteil oder defekt, ersatzteilspender, nicht funktionsfahig, funktioniert nicht,
      startet nicht, bildfehler, keine bildausgabe, kein bild, fehlerhaft, nicht getestet,
      geht nicht, ohne funktion, bastlerware, teildefekt, verbogene pins, wird nicht erkannt,
      zum ausschlachten, lauft nicht, ungepruft, wackelkontakt, sturzt ab, absturze, instabil,
      uberhitzt, wasserschaden, pins verbogen, defekte pins, bruch, schlachten, ersatzteiltrager,
      artefakte, flackert, klackert, rattert, lagerschaden, luftergerausch, lufter defekt, defekte,
      kurzschluss, durchgebrannt, keine funktion, funktionslos, geht nicht an, bootet nicht,
      startet nicht mehr, ohne bild, mit fehlern, fehler, def, teilweise defekt, reparaturbedurftig,
      zum basteln, bastelprojekt, sektorenfehler, defekte sektoren, abgeraucht, unbekannter zustand,
      zustand unbekannt, grafikfehler, lufter dreht nicht, dreht nicht, macht gerausche, pin fehlt,
      pin abgebrochen, gebrochen, abgebrochen, durchgebrochen, verzogen, kratzer auf den kontakten,
      streifen im bild, streifen auf dem bildschirm, schaltet ab, schaltet sich ab, geht aus,
      friert ein, bluescreen, bluescreens, gesperrt, bios gesperrt, passwort gesperrt,
      nicht erkannt, undicht, wie gesehen, wie besehen, so wie er ist, so wie sie ist, pixelt,
      bild kommt nicht, kein signal, gibt kein signal, lufter schleift, springt nicht an,
      schaltet nicht ein, schaltet nicht mehr ein, fiept, geplatzt, schreibgeschutzt,
      nicht immer erkannt, lufter laut, modifiziert, bios passwort, mit bios passwort, manchmal,
      ausgelotet, wackelt, stottert, brummt, summt, geht manchmal
    `),
  },
  denies: ['kein', 'keine', 'keinen', 'ohne', 'nicht', 'nie', 'niemals', 'keinerlei'],
  putRight: ['repariert', 'behoben', 'gerichtet', 'ersetzt', 'gerade gebogen', 'erneuert'],
  aboutSeller: phrases(`
    aus, verkauft von, artikelstandort, verkaufer, standort, gewerblich, privat, artikelnummer, versand aus, von,
    anbieter, bewertungen, ort
  `),
  pageNoise: phrases(`
    anzeige, zeige, von, bis, sortierung, gesponsert, beobachter, merken, mehr, details,
    neu eingestellt, ahnliche artikel, ergebnisse, filtern, sortieren, beobachten,
    kostenlose ruckgabe, rucknahme, verkaufte artikel, siehe beschreibung, gesamtpreis, weitere,
    bild, top, artikel, privater verkaufer, gewerblicher verkaufer, von privat, privat, gewerblich,
    verfugbar, beendet, zum hauptinhalt, mehr anzeigen, seite, wird in neuem fenster geoffnet,
    wird in einem neuen fenster oder tab geoffnet, ahnliche anzeigen, garantiert, bewertungen,
    anzeigen
  `),
  shopPage: phrases(`
    in den warenkorb, auf lager, nicht auf lager, lieferbar, sofort lieferbar, bewertungen, ausverkauft,
    werktagen, werktage, derzeit nicht verfugbar
  `),
  asked: phrases(`
    eingestellt, vb, vhb, verhandlungsbasis, festpreis, zu verkaufen, verhandelbar
  `),
  scoreColumn: ['punkte', 'punktzahl', 'ergebnis', 'ergebnisse'],
  wanted: phrases(`
    suche, gesucht, ich suche, tauschgesuch, kaufgesuch, gesuch, kaufe, tausche, ankauf, wir kaufen,
    tausch gegen, gegen, suchen, tausch
  `),
  machine: phrases(`
    rechner, komplettrechner, komplett pc, komplett-pc, gaming-pc, computer, standrechner, spielerechner,
    laptop, notebook, komplettsystem, gamer-pc, gaming pc, buro pc, buro-pc, mini-pc, desktop pc, gamer pc
  `),
  includes: ['mit', 'inkl', 'inklusive', 'samt', 'und'],
  joins: ['und', 'mit', 'samt', 'sowie'],
  forThe: ['fur', 'passend', 'passend fur', 'kompatibel'],
  choice: ['oder', 'wahlweise', 'auswahl', 'zur auswahl', 'zur wahl', 'verschiedene', 'diverse'],
}
