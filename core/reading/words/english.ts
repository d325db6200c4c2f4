import { phrases } from '../../text/phrases'
import type { LanguageWords } from './languageWords'

export const english: LanguageWords = {
  months: [
    ['january', 'jan'],
    ['february', 'feb'],
    ['march', 'mar'],
    ['april', 'apr'],
    ['may'],
    ['june', 'jun'],
    ['july', 'jul'],
    ['august', 'aug'],
    ['september', 'sept', 'sep'],
    ['october', 'oct'],
    ['november', 'nov'],
    ['december', 'dec'],
  ],
  today: ['today', 'just now'],
  yesterday: ['yesterday'],
  ago: ['ago'],
  units: {
    hour: ['hours', 'hour', 'hrs', 'hr', 'h', 'minutes', 'minute', 'mins', 'min'],
    day: ['days', 'day', 'd'],
    week: ['weeks', 'week', 'wk', 'w'],
    month: ['months', 'month', 'mo'],
    year: ['years', 'year'],
  },
  besideDate: phrases(`
    on, at, the, placed, ordered, paid, auction, sale, day, date, ended, ending, end, completed,
    closed, finished, listed, posted, of, monday, tuesday, wednesday, thursday, friday, saturday,
    sunday, mon, tue, tues, wed, thu, thur, thurs, fri, sat, sun, a, an, one, am, pm, utc, gmt, est,
    edt, pst, pdt, cet, cest, bst, about, over, in, for, item, sale, bought, time
  `),
  sold: phrases(`
    sold, purchased, sold for, sold on, sale ended, sold date, date sold, sold at, winning bid, final price,
    hammer price
  `),
  shipping: phrases(`
    shipping, postage, delivery, ship, ships, shipped, post, courier, freight, p&p, s&h, handling,
    posted, shipping cost, parcel, carriage, excl shipping, excluding shipping, plus shipping,
    excl postage, 1st class, 2nd class, first class, second class, can ship, will ship, can post,
    will post
  `),
  freeShipping: phrases(`
    free shipping, free postage, free delivery, seller paid shipping, seller paid postage,
    seller paid delivery, free p&p, shipping included, postage included, delivery included,
    free post, ships free, free local delivery, shipped free, inc shipping, incl shipping,
    including shipping, inc postage, incl postage, including postage, inc p&p, incl p&p,
    inc delivery, incl delivery, including delivery, shipping is free, free economy shipping,
    free standard shipping, free expedited shipping
  `),
  pickup: phrases(`
    picked up, collected,
    pickup only, pick up only, local pickup only, local pickup, collection only, collection in person,
    pickup, pick up, collect in person, local pick up, collected in person, cash on collection,
    local collection, free collection, pick-up only, local hand over, hand over in person
  `),
  importCharges: phrases(`
    import charges, import fees, customs, import duty, duties, buyer protection, buyer protection fee,
    insurance, tax, taxes, vat
  `),
  besidePrice: phrases(`
    price, value, placed, item subtotal, subtotal, now, only, just, for, at, obo, ono, o.b.o, o.n.o,
    or, nearest, offer, best, firm, total, cash, plus tx, tx, + tx, plus tax, asking, ask, sold,
    sold for, final, bid, current bid, winning, paid, buy, it, item, each, per item, ea, reduced,
    reduced to, sale, selling, hammer, amount, negotiable, final price, final bid, price:, deal, to,
    won, incl, inc, vat, dollars, bucks, pounds, euros, euro, the, hammer price, fixed, fixed price,
    for all, for both, for the lot, for the pair, all together, together, lot
  `),
  notThePrice: phrases(`
    was, were, buyer protection, service fee, fee, fees, listed at, listed for, tax, sales tax,
    list, list price, rrp, msrp, retail, originally, original price, previously, approximately,
    approx, about, from, per month, monthly, save, you save, off, new price, estimate, estimated,
    est, reserve, starting bid, start price, worth, before, old price, shop price, trending at,
    median, average
  `),
  nowPrice: phrases(`
    now, sold, sold for, final price, final bid, reduced to, down to, winning bid, dropped to, hammer price,
    sold at
  `),
  hiddenPrice: phrases(`
    offer accepted, accepted offer, price hidden, price not shown, see price, price on request,
    make an offer, private sale, undisclosed, hidden, accepted, accepted by the seller, offer was accepted,
    an offer was accepted, not disclosed, price not disclosed, price on application
  `),
  each: ['each', 'ea', 'per piece', 'apiece', 'a piece'],
  auction: phrases(`
    bids, bid, auction, winning bid, highest bid, current bid, timed auction, sold at auction
  `),
  fixedPrice: phrases(`
    buy, bin, offer, buy now, fixed price, obo, fixed, classified ad, was buy now, or offer, set price,
    make offer
  `),
  state: {
    new: phrases(`
      new, brand new, factory sealed, sealed, bnib, new sealed, unused, unopened, new in box, new with box,
      never used, nib, new in sealed box, still sealed
    `),
    opened: phrases(`
      opened, opened once, open box, opened box, new (other), new other, open-box, opened never used, new open box,
      ex display, ex-display, new - other, open package, open box new, box opened, new - open box
    `),
    refurbished: phrases(`
      refurbished, refurb, renewed, seller refurbished, certified refurbished, manufacturer refurbished,
      reconditioned, factory refurbished, remanufactured, refurbished - good, excellent - refurbished,
      very good - refurbished, good - refurbished
    `),
    used: phrases(`
      used, pre-owned, preowned, second hand, second-hand, secondhand, like new, as new, mint, good,
      very good, excellent, fair, acceptable, used - good, used - like new, used - fair, good condition,
      excellent condition, very good condition, great condition, working, fully working, tested,
      tested working, pulled, working pull, lightly used, gently used, well used, pre owned,
      used - very good, used - excellent, near mint, good used condition, pull, mint condition
    `),
    damaged: phrases(`
      password locked, locked password, locked bios, stripes on screen, lines on the screen,
      stripes on the screen, no channel b, no channel a, unsoldered, no outputs, without outputs,
      no bios chip, without bios chip, glued in, ihs removed, lapped, wont take, real capacity,
      donor card, spare parts, as spare parts, no image, no picture, needs bios flash,
      needs flashing, burning smell, smells of burning, past the logo, no longer working,
      no longer works, died, whining, firmware locked, bios locked, for parts,
      for parts or not working, parts only, for parts only, not working, faulty, broken, damaged,
      defective, untested, spares, spares or repair, spares or repairs, for parts or repair, as is,
      as-is, dead, not tested, doesnt work, does not work, for spares, for repair, repair,
      parts or repair, no display, no post, not detected, not recognised, not recognized,
      black screen, failing, read only, artifacts, artefacts, artifacting, wont boot, wont turn on,
      no signal, no picture, bad sectors, clicking, bent pins, cracked, fails, dies, not spinning,
      shuts off, not posting, does not post, does not boot, crashes, unchecked, needs repair,
      for parts / not working, for parts/not working, water damage, doa, parts only no returns,
      shows lines, bad, fault, spares/repairs, spares/repair, fried, burnt, shorted,
      stopped working, blown, rattles, rattling, grinding, grinding noise, reallocated sectors,
      bad blocks, pending sectors, smart errors, smart error, overheats, overheating,
      random crashes, freezes, freezing, random reboots, reboots itself, restarts itself, glitches,
      glitching, glitchy, flickers, flickering, lines on screen, dead port, dead ports, dead fan,
      one fan dead, fan dead, missing pins, missing pin, missing capacitor, chipped, burned,
      burnt smell, smells burnt, liquid damage, corroded, corrosion, rusted, leaking, leaks,
      bulging, swollen, partially working, semi working, half working, works sometimes,
      intermittent, unstable, bsod, blue screens, code 43, memtest errors, memory errors,
      non working, non functional, nonfunctional, inoperable, unknown condition, condition unknown,
      as found, sold as seen, cannot test, cant test, no way to test, havent tested,
      not been tested, salvage, scrap, for scrap, gold recovery, snapped, torn, buzzing loudly,
      no output, no video, wont post, wont start, doesnt boot, doesnt post, doesnt start,
      doesnt turn on, does not turn on, not booting, not starting, dead slot, dead channel,
      bent socket, bent pin, broken pin, broken pins, bios locked, password locked, bios password,
      stripped, melted, melted connector, scorched, failing drive, smart failing, health failing,
      dying, on its way out, water damaged, needs fixing, needs work, faults, has faults,
      broken fan, broken clip, broken clips, missing screws hole, has issues, with issues, issues,
      problem, problems, trips under load, trips, trips breaker, pops, popped, pops breaker,
      smells of burning, makes noise, makes a noise, makes noises, noisy bearing, smart warning,
      smart caution, smart fail, sparks, sparking, magic smoke, smoked, went bang, shuts down,
      shuts itself off, turns itself off, powers off, randomly restarts, cuts out, loses signal,
      drops signal, black screens, no lan, no sound, no audio, one stick dead, one dead stick,
      one channel only, only one channel, one slot dead, ecc error, wont detect, not seen,
      wont read, unreadable, unrecognised, unrecognized, bad bearing, worn bearing, fan stuck,
      fan not spinning, fans not spinning, stutters badly, bricked, corrupt, corrupted,
      corrupt bios, bad bios, bad flash, lifted pad, lifted pads, lifted trace, missing resistor,
      hairline crack, broken tab, broken latch, bad caps, bad port, bad ports, bad slot, bad fan,
      bad fans, bad vram, bad block, bad memory, bad channel, bad pin, bad pins, bad connector,
      bad usb, bad hdmi, bad ethernet, bad audio, bad solder, needs new, needs a new,
      only hdmi works, only one port works, fan noise, loud bearing, bearing noise, missing one pin,
      missing a pin, one pin missing, pin missing, one port dead, ports dead, half the ports,
      not all ports work, not fully working, not fully functional, not 100, not working properly,
      not stable, spares repair, spare or repair, for spare, for spares only, untested pull,
      sold untested, unable to test, data recovery, recovery donor, donor board, donor drive,
      locked with password, password protected, account locked, one stick bad, one bad stick,
      one module bad, one bad module, one channel bad, going bad, gone bad, went bad, ripped off,
      torn off, broken off, came off, lights up but, spins but, powers on but, turns on but,
      posts but, no longer works, no longer boots, shuts the, cuts off, gets hot, drops to desktop,
      bad health, fake, counterfeit, clone, reballed, reball, needs reflow, reflow, reflowed,
      parts donor, only works, works only, weird colours, weird colors, strange colours,
      colour lines, only one output, tested bad, unknown state, scratched contacts, write protected,
      disappears, disconnects, worn out, worn, recall, recalled, for recovery, non runner,
      as a project, project card, ports fail, reboots my, goes green, turns green,
      acceleration gone, smart bad, throttles and, reallocated, caution, not powering on,
      not powering, spin up, error code, stuck fan, low health, health bad, only one fan turns,
      smells, errors, died, gave up, pulled off, salvaged
    `),
  },
  denies: phrases(`
    no, not, without, never, non, zero, isnt, wasnt, nothing, free of, no more, none
  `),
  putRight: ['fixed', 'repaired', 'straightened', 'replaced', 'resolved', 'corrected', 'restored'],
  aboutSeller: phrases(`
    from, located in, location, seller, sold by, view similar, sell one like this, see similar, item number,
    feedback, ships from, ships to, by, store, shop, sell similar, bought from, buyer, user, listing id,
    item no, located, listed by, dispatched from, posts from, collect from
  `),
  pageNoise: phrases(`
    sponsored, showing, page, sort, sorted by, recently ended, ended recently, newest first, refine,
    watchers, watching, watcher, view, views, new listing, top rated, top rated seller, see details,
    see description, add to list, results, save this search, sort, filter, sort by, share, report,
    last one, almost gone, benefits charity, authenticity guarantee, free returns, returns accepted,
    no returns, advertisement, watch, details, more, image, photo, picture, opens in a new window,
    opens in a new window or tab, leave feedback, buy again, coupon, in stock, brand, ad, promoted,
    item, favourite, favorite, next page, previous, contact seller, hide, load more, recently sold,
    completed, sold, listing, private, business, private seller, business seller, commercial,
    commercial seller, available, ended, skip to main content, main content, of, to, view similar,
    view similar items, sell one like this, similar items, find similar, or best value, verified,
    seller, pro seller, positive, feedback, last chance, only one left, more like this, save, saved,
    follow, following, quick view, compare, add to favourites, rating, ratings, stars, page, next,
    back to top, show more, show all, price dropped, price drop, reduced
  `),
  shopPage: phrases(`
    in stock, out of stock, add to cart, add to basket, add to bag, reviews, out of 5, ships in, sold out,
    left in stock, delivery tomorrow, back in stock, pre order, notify me
  `),
  asked: phrases(`
    listed, posted, asking, obo, ono, negotiable, firm, for sale, no trades, cash only,
    make me an offer
  `),
  scoreColumn: phrases('score, scores, points, index, fps, benchmark, result, results'),
  wanted: phrases(`
    wtb, want to buy, wanted, looking for, looking to buy, searching for, in search of, iso, trade for,
    trade my, trades for, swap for, swap my, to swap, want, wanting, buying, i buy, we buy, wtt,
    want to trade, trading, swap, trade, exchange, looking to swap, looking to trade, exchange for, will trade,
    in exchange, need, needing, buy
  `),
  machine: phrases(`
    gaming pc, pc, computer, desktop pc, laptop, notebook, workstation, rig, gaming rig, mini pc, desktop,
    tower pc, office pc, gaming computer, barebone, prebuilt, system, gaming laptop, all in one, server,
    build, office computer, desktop computer, custom desktop, office tower, tower
  `),
  includes: ['with', 'incl', 'including', 'includes', 'included', 'w', 'comes with', 'plus'],
  joins: ['and', 'plus', 'with', '&'],
  forThe: ['for', 'fits', 'suits', 'compatible', 'compatible with', 'to fit'],
  choice: phrases(`
    or, choice, choose, pick, pick one, your choice, select, various, variants, options, choice of
  `),
}
