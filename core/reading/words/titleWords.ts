import type { Role } from '../../parts/part'
import { phrases } from '../../text/phrases'

/** Words of titles that are of the trade rather than of a language; with the languages where they differ. */

/** Anywhere in a title: somebody wants the thing, and has none. */
export const surelyWanted = phrases(`
  wtb, wtt, want to buy, looking for, looking to buy, in search of, trade my, swap my, looking to swap,
  looking to trade, suche, gesucht, ich suche, cherche, je cherche, recherche, busco, se busca, compro,
  kopes, sokes, soker, onskas, echange contre, echange, tausche, want to trade, bytes mot, byte mot, ankauf,
  cambio por, searching for, will trade, i want, im after, in need of, on the hunt for, wanted,
  wts or trade, wanted to buy, buying, kaufe, achete, suche nach, wer hat, necesito, byter, byter mot,
  trade for, swap for, trades for, anyone selling, anybody selling, anyone got, quiero comprar, need a, i need,
  vill kopa, byta mot, who has a, who has, anyone have, anyone selling a, paying, will pay, cash waiting, trade up,
  up for trade, cherche a acheter, hat jemand, har nagon, alguien vende, price check, how much, price for,
  what is it worth, giveaway, give away, preorder, pre order, reserved for,
  deposit, verlosung, kann jemand, qui vend, in need of a
`)

/** Pieces, covers and helps: what stands so in a title is sold for the thing, not the thing. */
export const thingsForIt = phrases(`
  sticker, stickers, aufkleber, autocollant, klistermarke, pegatina, badge, case badge, sleeve, sleeves,
  pads, thermal pads, pad set, warmeleitpads, holder, halter, halterung, support holder, anti sag,
  sag holder, support bracket, hallare, riser, riser cable, enclosure, gehause fur, caddy, drive caddy,
  bezel, front bezel, blende, shroud, fan shroud, manual, handbuch, notice, manuel, anleitung, carrying bag,
  bag, tasche, sac, dust filter, dust filters, filter set, staubfilter, dust cover, water block, waterblock,
  wasserblock, wasserkuhler, circuit board, pcb, platine, cable set, kabelset, cable kit, mounting kit,
  mounting set, montageset, mount kit, wifi antenna, antenna, antennas, antenne, poster, keychain,
  drivers disc, driver disc, driver cd, side panel, vitre, scheibe, seitenscheibe, glasskiva, seitenteil,
  side panels, screw set, screws set, screws and,
  tray cover, power button, foam, heatspreader set, heatspreader kit, heatspreaders only, ram heatsinks,
  ram heatsink, memory heatsinks, i o shield, io shield, blanking plate, plate, replacement fan,
  ersatzlufter, replacement fans, vinyl, decal, skin, usb adapter, clip, clips, bios chip, firmware chip,
  thumbscrews, thumb screws, standoffs, front panel, rear panel, glass panel, top panel, fan hub,
  fan controller, rgb controller, led strip, pcie bracket, low profile bracket, vrm heatsink, m 2 screw,
  m2 screw, cmos battery, rail kit, rails, docking station, drive tray, drive cage, hdd cage, hot swap tray,
  cover plate, blank plate, magnet filter, licence sticker, license sticker, licence key, license key,
  windows key, recovery disc, recovery usb, box only, empty box, retail box, verpackung, leerkarton, karton,
  emballage, boite vide, caja vacia, tom kartong, warranty card, spare screws, feet, rubber feet,
  replacement cable, replacement cables, modular cable, modular cables, kabelsatz, custom cables,
  pcie cable, sata cable, eps cable, power lead, power leads, sata lead, gpu cable, contact frame, copper shim,
  cable comb, cable combs, extension cable, extension cables, pwm cable, thermal putty, fan blade,
  fan blades, fan set, fan kit, mounting hardware, mounting bracket, mounting bracket kit, backplate kit,
  conversion kit, adapter bracket, adapter plate, 3d printed, 3d print, stl, stand, wall mount,
  display stand, dvd drive, optical drive, antenna cable, wifi card, riser card, diagram, schematic,
  boardview, adapter card, adaptor card, m2 adapter, m 2 adapter, fan assembly, cooler assembly,
  heatsink assembly, heatsink and fan, fan and heatsink, dummy, replica, toy, raffle, gift card,
  power cable, kabel set, tester, docking, deshroud kit, deshroud, power connector, connector adapter,
  heat sink, heat sinks, heatsink set, shipping tray, led logo, loop, custom loop, cable splitter,
  fan splitter, splitter, upgrade service, repair service,
  fitting service, einbauservice, ovp leer, leere ovp, leerer karton, tom lada, tom kartong, emballage vide,
  engineering sample, wall art, logo sign, sign, model kit, prop, rental, per month,
  subscription, gutschein, egpu dock, egpu case, soporte, funda, pegatinas, stickers set, sida panel,
  sidopanel, panneau lateral, tapa, tapa lateral, filtre, filtro, heat spreaders, heat spreader, lufter ersatz,
  ersatzteil,
  ersatzteile, reservdel, reservdelar, piece detachee, pieces detachees, recambio, repuesto, core only,
  keyring, key ring,
  magnet, coaster, mousepad, mouse pad, figurine, t-shirt, hoodie, cap badge, lanyard, patch, documentation,
  user guide, capacitor, capacitors, capacitor kit, recap kit, repair kit, fuse, mosfet,
  mosfets, inductor, side glass, glass side, strap, straps, carrying strap, carry handle, handle,
  display piece, showpiece, bridge, crossfire bridge, heatpipe, heatpipes, heatpipe module, swap kit, diffuser,
  lightbar,
  driver disk, gpu support, card support, support stand, dvr, nvr, recorder, sled, carrier sled, drive sled,
  wallpaper, cooling unit, dust covers, oem box, guide pdf, guide, pdf, ebook, eng sample, vrm cooler,
  cpu paste, thermal paste only, bloc eau, bloc de refroidissement, support anti affaissement, ruckplatte, standoff,
  breakout board, vram chips, receipt only, platine arriere, placa trasera, soporte antipandeo
`)

/** Pieces that end a title only where they are what is sold; with a word before them they come along. */
export const piecesAtEnd = phrases(`
  hsf, clamshell, shield, driver dvd, lead, eps lead, pcie lead, die, wifi, raid set,
  paste, sample, kylare, kylflans, ventirad, disipador, ventilateurs, flaktar, ventiladores, lufter paar,
  skal, kabel, kablar, sata kabel, lufterkit, kabelkit, montagekit,
  heatsink, heatsinks, heatspreaders, ihs, cord, power cord, kuhlkorper, bracket, brackets, backplate, shroud,
  fan, fans, adapter, cable, cables, mount,
  cover, lid, screw, kuhler, lufter, ventilateur, flakt, slot cover, power cable, remote, box, clip, clips, screws,
  panel, panels, grille, filter, foot, feet, cage, caddy, battery, chip, dust cover, tray, trays, connector,
  header, hinge, stand, bag, case fan, label, boite, carton, karton, caja, tornillos, skruvar, schrauben,
  assembly, tool, tools, guard, plug, harness, wire, wires, spring, springs, washer, washers, spacer,
  spacers, protector, film, pump, tube, tubes, hose, dongle, receiver, hub, dock, charger, brick, keyboard,
  mouse, monitor, webcam, keychain, mug, art, shirt, t shirt, print, sticker, logo, emblem, nameplate, rail,
  rails, door, knob, latch, lock, key, keys, module cover, adapter card, wifi card, daughterboard, riser,
  io card, backplane, shield only, shroud only, kit only, cap, caps, housing, shell, frame, grill
`)

/** Parts of a machine, sold out of it. */
export const partsOfMachine = phrases(`
  power supply, psu, motherboard, mainboard, board, logic board, cpu, processor, memory, ram, drive, fan,
  cooler, heatsink, front panel, netzteil, nataggregat, agg, fuente, fuente de alimentacion, moderkort, alimentation,
  carte mere, placa base, hauptplatine, processor, prozessor, processeur, procesador, arbeitsspeicher, barrette,
  minne, grafikkort, grafikkarte, carte graphique, flakt, lufter, ventilateur, ventilador, kylare, lid, cover, side cover,
  case, chassis, gehause, feet, speaker, button, cable, riser, bracket, adapter
`)

/** What a thing is named without: of a supply its leads, of a cooler its fan or what holds it. */
export const piecesOfSupply = phrases('cable, cables, leads, kabel, cordons, kablar')
export const piecesOfGraphics = phrases(`
  cooler, fan, fans, heatsink, kuhler, kuhlkorper, lufter, ventilateur, ventilateurs, ventirad, radiateur,
  flakt, flaktar,
  kylare, kylflans, ventilador, ventiladores, disipador
`)
export const piecesOfCase = phrases(`
  screws, panel, panels, side panel, glass, feet, door, front, schrauben, seitenteil, pieds, tornillos, skruvar
`)
export const piecesOfCooler = phrases(`
  fan, fans, mount, mounting, mounting hardware, mounting kit, bracket, brackets, clips, lufter, halterung,
  ventilateur,
  flakt, fixation, befestigung, montering, hallare, fixations
`)

/** Between things of which one is to be chosen. */
export const choiceWords = phrases('or, oder, ou, eller')

/** Of a card, a processor or a board that is soldered into a machine to be carried. */
export const portableKinds = phrases('mobile, mxm, laptop, notebook, soldered, ultrabook, bga')

/** Drives of another kind than one inside a machine. */
export const drivesOutside = phrases('usb, portable, external, externe, extern, externa, sas, scsi, ide')

/** Words before a figure that name no thing: `with PCIe 4.0`. */
export const figureWords = phrases(`
  pcie, hdmi, dp, displayport, usb, gen, windows, version, bios, firmware, rev, revision, ver, memtest,
  invoice, receipt,
  warranty, until, ddr, win, directx, box, about, over, only, under, cl, year, since, bought, garantie
`)

/** Pieces that are the thing itself where it is of that kind: a processor is a chip, a cooler a heatsink. */
export const ownNames: Readonly<Record<string, readonly string[]>> = {
  cpu: phrases('chip, tray, trays'),
  cooler: phrases(
    'heatsink, heatsinks, heatsink and fan, cooler, kuhler, ventirad, disipador, kylare, ventilador',
  ),
  storage: phrases('drive, chip'),
  case: phrases('dust, frame, shell, housing, case, chassis, caja, chassi, boitier'),
  graphics: phrases('card'),
}

/** Said before such a piece, it comes along with the thing or is missing. */
export const comesAlong = phrases(`
  on, auf, sur, tous, toutes, tout, alle, alla, todos, todas,
  with, w, and, plus, incl, including, includes, included, all, both, mit, inkl, samt, avec, con, med, och,
  no, missing, without, ohne, sans, utan, sin, new, original, red, black, white, her, fresh, glass, steel,
  mesh, also, y, et, und, low, needs, the, blue, rgb, extra
`)

/** A whole machine wherever it stands in a title. */
export const surelyMachine = phrases(`
  gaming pc, laptop with, notebook with, pc with, computer with, rig with, desktop pc, mini pc,
  komplettrechner, komplett pc, gamer pc, gaming rig, speldator, pc gamer, pc gaming, pc portable,
  office pc, office computer, gaming computer, gaming laptop, dator med, rechner mit, pc mit, pc avec,
  ordinateur avec, ordenador con, pc con, pc med, komplett dator, workstation with, build with, system with,
  server with, tower with, desktop with, laptop mit, barebone, barebones, prebuilt, all in one, gamingdator,
  ordenador gaming, tour gamer, unite centrale, laptop 15, laptop 14, laptop 17, desktop computer, tower pc,
  lap top, full pc, complete pc, complete build, full build, full system, complete system, gaming desktop,
  gaming tower, custom built, mini computer, sff pc, small form factor pc, nas with, all in one pc,
  desktop computer pc, pc tower, home pc, family pc, budget pc, game pc, pc bundle, gaming setup, pc setup,
  full setup, full rig, ready to game, plug and play pc, pc komplett, rechner komplett, spiele pc, buro pc,
  pc de bureau, pc fixe, pc complet, ordinateur complet, ordi fixe, dator komplett, computer komplett,
  pc completo, ordenador completo, ordenador de sobremesa,
  stationar dator, uc portable, barbar dator, speldator med, mining rig, nuc, thin client, chromebook, ultrabook, gaming notebook,
  inklusive dator, inkl dator, med dator, inkl pc, incl pc, including pc, comes in pc, in a pc,
  laptop board, laptop motherboard, portable gamer, portable gaming, portatil gamer, gamer laptop,
  gaming bundle, complete setup, whole setup, complete rig, complete machine, machine complete,
  config complete, config gamer, ordi gamer, ordi complet,
  equipo completo, torre completa, whole pc, entire pc, entire build, streaming pc, workstation pc
`)

/** A whole machine where it opens a title. */
export const machineAtStart = phrases(`
  pc, computer, laptop, notebook, rig, workstation, rechner, dator, ordinateur, ordenador, portatil,
  desktop, computadora, custom pc, custom desktop
`)

/** Machines to be carried, or with a screen of their own: another thing than a tower. */
export const portableMachines = phrases(`
  laptop, notebook, chromebook, ultrabook, portable, portatil, tablet, all in one, aio pc, handheld, barbar
`)

/** A machine by its word, where its parts are named beside it. */
export const machineBesideParts = phrases(`
  pc, computer, rig, rechner, dator, ordinateur, ordenador, computadora, desktop, workstation, build, system,
  tower, tour, torre, prebuilt, sobremesa, spiele pc, gamer pc, speldator, unite centrale, setup, torn
`)

/** What is used with a machine and sold along with it: its price is not the machine's alone. */
export const thingsAround = phrases(`
  monitor, monitors, screen, screens, keyboard, mouse, headset, desk, chair, bildschirm, tastatur, maus, ecran,
  clavier,
  souris, pantalla, teclado, raton, skarm, skarmar, tangentbord, mus, moniteur, peripherals, speakers, printer,
  drucker, imprimante, skrivare, impresora
`)

/** Screens: an office machine with one is another thing; a keyboard more or less is none. */
export const screenWords = phrases(`
  monitor, monitors, screen, screens, bildschirm, ecran, moniteur, pantalla, skarm, skarmar, display included
`)

/** Said of a machine that is not whole. */
export const barePhrases = phrases(`
  barebone, barebones, needs a card, needs a gpu, needs gpu, needs card, needs ram, just add, add your own, as spares
`)

/** Parts without which a machine is not whole. */
export const wantedInside = phrases(`
  gpu, graphics card, graphics, card, cpu, processor, ram, memory, motherboard, power supply, psu, grafikkarte,
  carte graphique, tarjeta grafica, grafikkort
`)

/** A machine, where a title ends in it behind the thing asked for. */
export const machineAtEnd = phrases(`
  pc, rig, system, setup, machine, workstation, build, tower, desktop, notebook, laptop, aio, computer,
  rechner, dator,
  ordinateur, ordenador, server
`)

/** What a title ends in that says the thing is bad, or wanted in exchange. */
export const badAtEnd = phrases(
  'mort, morte, lines, locked, dying, hs, trasig, kaputt, dood, failed, failing, ' +
    'cooked, toast, bricked, toasted, killed, muerto, muerta, muertos, tot, dod, paj, skit',
)
export const swapAtEnd = phrases('swap, swaps, trade, trades, tausch, byte, echange, cambio')

/** Endings that make another model of a number, with a space between. */
export const modelEndings = ['pro', 'max', 'lite', 'mini', 'plus', 'xl', 'ultra'] as const

/** Letters behind a number that make no other model, whether joined, hyphenated or apart. */
export const noEndings = phrases(`
  oc, lp, oem, v1, v2, v3, w, gb, tb, mb, go, to, mm, cm, mhz, ghz, mt, pin, fan, bit, core, hz, fps
`)

/** Short words that may stand behind a number with a space: no ending of it. */
export const shortWords = phrases(`
  a, an, y, e, o, i, u, w, et, ou, und, mit, de, la, le, en, el, med, och, for, and, or, in, of, on, cpu,
  gpu, psu, ram, ssd, hdd, atx, itx, sfx, rgb, pc, new, the, as, is, up, ff, usb, dp, box, hs, no, sin, pas,
  aus, cl, all, low, key, m, c, t, hd, eu, uk, us, de, ch, dp, ok, nr, no, so, dc, ac, vr, 4k, by, to, at,
  it, my, do, if, we, im, am, hi, he, es, se, si, au, du, un, im, zu, am, ab, av, pa
`)

/** A comparison, not an offer. */
export const comparisonWords = phrases(
  'vs, versus, or should i, which is better, was ist besser, que choisir',
)

/** Before the thing asked for: another thing is sold, that is like it. */
export const likeWords = phrases(`
  like the, like a, almost a, nearly a, close to a, equivalent, same as, similar to, better than, faster than,
  equivalent to, alternative to, instead of,
  replaces, successor of, wie die, wie der, ahnlich wie, besser als, comme la, comme le, equivalent, mieux que,
  liknande, battre an, mejor que, similar a, igual que
`)

/** Several things that make a machine newer, sold as one. */
export const upgradeKits = phrases(`
  upgrade kit, kit upgrade, upgrade bundle, upgrade set, bundle upgrade, upgrade combo, aufrustkit,
  aufrust kit, aufrustset,
  aufrust set, aufrust bundle, aufrustbundle, kit evo, kit evolution, kit d evolution, kit de mise a niveau,
  uppgraderingspaket, uppgraderingskit, kit de actualizacion, kit actualizacion, starter kit, combo kit
`)

/** Behind the noun that ends a compound word (`Spielerechner`, `Ersatzlüfter`), it says what is sold. */
export const compoundHeads: Readonly<Record<'machine' | 'lot' | 'piece', readonly string[]>> = {
  machine: ['rechner', 'dator', 'computer'],
  lot: ['paket', 'konvolut', 'sammlung', 'bundle'],
  piece: phrases(`
    lufter, kuhler, kabel, halterung, halter, gehause, blende, abdeckung, aufkleber, karton, schachtel,
    verpackung, adapter,
    flakt, flaktar, kylare, kylflans, hallare, faste, kartong, kabelsatz, pads, schrauben, skruvar, filter,
    deckel, rahmen,
    klammer, schiene, anleitung, etikett, dekal
  `),
}

/** Before `only`: the thing itself, or how it is handed over. */
export const onlyThis = phrases(`
  cosmetic, cosmetics, optisch, esthetique, gaming, games, mining, private, home, light, office, streaming,
  cpu, gpu, card, board, unit, drive, psu, module, kit, tower, case, cooler, pickup, collection, local, cash,
  delivery, one,
  item, it, this, used, tested, pick up, up, person, hand, chip, processor, uk, us, eu, read, nur, hours,
  months, weeks,
  days, times, once, twice, abholung, retrait, avhamtning, recogida, versand, einmal, kurz, wenige, selten,
  testad, getestet, testee, testes, utilise, utilisee, benutzt, anvand, usado,
  probado, teste, une, un, en, ett, ein, eine, una, uno, i, im, motherboard, mobo, graphics, ram, memory, ssd
`)

/** Names of the kinds of part in every language: before the thing asked for and joined to it, two things are sold. */
export const kindNames: Readonly<Partial<Record<Role, readonly string[]>>> = {
  case: phrases('case, tower, chassis, gehause, boitier, caja, torre, chassi, lada, tour'),
  supply: phrases('psu, power supply, netzteil, alimentation, nataggregat, natagg, agg, fuente'),
  motherboard: phrases(
    'motherboard, mainboard, mobo, board, carte mere, moderkort, placa base, placa, hauptplatine',
  ),
  cpu: phrases('cpu, processor, prozessor, processeur, procesador'),
  memory: phrases('ram, memory, arbeitsspeicher, memoire, minne, memoria'),
  graphics: phrases('gpu, graphics card, grafikkarte, carte graphique, grafikkort, tarjeta grafica'),
  cooler: phrases('cooler, kuhler, ventirad, kylare, refrigerador'),
  storage: phrases('ssd, hdd, festplatte, disque dur, disque, harddisk, disco duro'),
}

/** Damage that ends a compound word: `Lüfterschaden`, `Bildstörungen`. */
export const damageHeads = phrases(`
  schaden, storung, storungen, fehler, bruch, defekt, ausfall, ausfalle, probleme, skada, skador, storningar
`)

/** Pieces that bend or break, and the words for it: `Pins krumm`, `jambes tordues`. */
export const frailPieces = phrases(`
  pin, pins, leg, legs, broche, broches, jambes, pattes, patte, ben, pinne, pinnar, stift, stifte, beinchen,
  patas, pata,
  pines, socket, sockel, sockeln, port, ports, displayport, hdmi, dp, slot, slots, usb, lan, fan, connector,
  edge, corner
`)
export const brokenAdjectives = phrases(`
  bad, bent, lost, missing, gone, dead, krumm, verbogen, verbogene, gebrochen, abgebrochen, tordu, tordue,
  tordus, tordues,
  plie, plies, pliees, bojd, bojda, trasig, trasiga, saknas, doblada, dobladas, doblado, doblados, roto, rota,
  rotos, rotas,
  defekt, kaputt, faulty, broken, ripped, torn, burnt, damaged, hs, cassee, casse
`)
