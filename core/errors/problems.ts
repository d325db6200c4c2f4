/** What a sentence is made of: figures and words, by name; a program reads these, people the sentence. */
export type ProblemParams = Readonly<Record<string, string | number | null>>

type Params<Names extends string> = Readonly<Record<Names, string | number>>

const plural = (count: string | number, what: string) => `${count} ${what}${Number(count) === 1 ? '' : 's'}`

/**
 * Every refusal by its code: the sentence that its parameters make. It says what happened and what to do; it crosses the
 * wire as code, parameters and sentence, and nobody searches the sentence.
 */
export const problems = {
  'changed-meanwhile': ({ what }: Params<'what'>) =>
    `${what} was changed in the meantime; nothing was overwritten`,
  unconditional: () =>
    'say what is being changed: If-Match with the tag of the state that was read, or If-None-Match: * for something new',
  held: () => 'another program is using the database; nothing was changed, try again',
  internal: () => 'Something went wrong; nothing was changed. See the server log.',
  'newer-backup': ({ migration }: Params<'migration'>) =>
    `This database was written by a newer version of Tarvin (migration ${migration}); ` +
    'start that version, or restore a backup made by this one.',
  /** `name`: what cannot be calculated without it; left out where the figure itself says so. */
  'no-rate': ({ from, to, on, name }: Params<'from' | 'to' | 'on'> & { readonly name?: string }) =>
    `no exchange rate from ${from} to ${to} on or before ${on}${
      name === undefined ? '' : `, needed for "${name}"; set that rate in Settings first`
    }`,
  'not-found': ({ what, id }: Params<'what' | 'id'>) =>
    `there is no ${what} ${typeof id === 'number' ? id : `"${id}"`}`,
  'all-discarded': () => 'every repeat is discarded, so nothing is left to count',
  'already-chosen': () => 'already in the build',
  'already-driven': () => 'already driven',
  'already-sold': () => 'the PC is already sold',
  'amount-not-integer': ({ amount }: Params<'amount'>) => `${amount} is not a whole number of minor units`,
  'amount-too-large': ({ trimmed }: Params<'trimmed'>) => `"${trimmed}" is too large to be a price`,
  'bad-amount': ({ entry }: Params<'entry'>) => `the amount ${entry} must be more than 0`,
  'bad-assumption': ({ name, min, max, value }: Params<'name' | 'min' | 'max' | 'value'>) =>
    `${name} must be from ${min} to ${max}, not ${value}`,
  'bad-budget': () => 'the stretch must not be below the budget',
  'bad-column': ({ columns, column }: Params<'columns' | 'column'>) =>
    `the log has ${columns} columns, so there is no column ${column}`,
  'bad-cpu-index': ({ index }: Params<'index'>) => `a CPU index must be above 0, not ${index}`,
  'bad-fact': ({ name, why }: Params<'name' | 'why'>) => `"${name}": ${why}`,
  'bad-figure': () => 'your figure must be more than 0',
  'bad-frame-time': ({ frame, time }: Params<'frame' | 'time'>) =>
    `frame ${frame} is ${time}: a frame time must be above 0 ms`,
  'bad-graphics-index': ({ index }: Params<'index'>) => `a graphics index must be above 0, not ${index}`,
  'bad-hours': () => 'enter the number of hours',
  'bad-id': () => 'actions are addressed by number',
  'bad-limit': () => 'the limit must be more than 0',
  'bad-log': () => 'the log must be 32-bit floats, one per frame',
  'bad-percent': ({ text }: Params<'text'>) => `${text} % exceeds the whole price`,
  'bad-price': ({ price }: Params<'price'>) => `a shop price must be more than 0, not ${price}`,
  'bad-probability': ({ probability }: Params<'probability'>) =>
    `${probability} is not a probability between 0 and 1`,
  'bad-query': ({ key, value }: Params<'key' | 'value'>) => `${key} must be more than 0, not ${value}`,
  'bad-target': ({ targetFps }: Params<'targetFps'>) => `the target must be above 0 fps, not ${targetFps}`,
  'bad-today': ({ written }: Params<'written'>) => `TARVIN_TODAY is "${written}"; write it as 2026-10-31`,
  'bad-today-file': ({ file, written }: Params<'file' | 'written'>) =>
    `${file} (TARVIN_TODAY_FILE) contains "${written}"; write a date such as 2026-10-31`,
  'bad-weight': ({ weight }: Params<'weight'>) => `weight ${weight} is not allowed: it must be 0 or more`,
  'binary-file': () => 'this is a binary file, not a text file; save the list as CSV and drop that',
  'booked-currency': ({ name, currency, currency2 }: Params<'name' | 'currency' | 'currency2'>) =>
    `${name} has money booked in ${currency}; make a variant to see it in ${currency2}`,
  'broken-json-ld': () => 'the product data in this page source is incomplete; copy the whole source again',
  'broken-zip': () => 'this file is not a zip, or it is incomplete',
  'built-upon': ({ text, day }: Params<'text' | 'day'>) =>
    `"${text}" of ${day} depends on it; undo that first`,
  'changed-since': () => 'cannot undo: it has been changed since',
  'choice-gone': ({ id }: Params<'id'>) => `this choice no longer exists (${id})`,
  'code-of-unknown-source': () => 'a code refers to an unknown source',
  corrected: () => 'this entry has already been corrected',
  'currency-mismatch': ({ currency, currency2 }: Params<'currency' | 'currency2'>) =>
    `cannot add ${currency} and ${currency2}: convert one of them first`,
  'damaged-backup': () => 'the database in this backup is damaged',
  dead: () => 'a dead item can only work again after a repair',
  'different-currencies': () => 'orders in different currencies cannot be combined',
  'duplicate-item': ({ id }: Params<'id'>) => `two items have the id "${id}"`,
  'duplicate-line': ({ id }: Params<'id'>) => `two lines have the id "${id}"`,
  'empty-advice': () => 'this sheet is empty: no remark has been filled in',
  'empty-edition': () => 'this edition has no parts',
  'empty-file': () => 'the file is empty; it needs a header line and one line per record',
  'empty-log': () => 'the log is empty; it needs one line per frame',
  'feed-with-doctype': () => 'the feed has a DOCTYPE, which is not accepted',
  'fix-gone': () => 'this fix no longer works',
  'forbidden-key': ({ key }: Params<'key'>) => `the key "${key}" is not allowed`,
  'frames-of-unknown-part': () => 'fps given for an unknown part',
  'future-date': ({ day }: Params<'day'>) => `${day} is in the future`,
  'game-in-use': ({ count, wanted }: Params<'count' | 'wanted'>) =>
    `${plural(count, 'run')} and ${plural(wanted, 'target')} use this game: remove them first`,
  gone: () => 'the page says it is gone',
  'hunt-in-order': () => 'pay a hunt separately',
  'import-cancelled': () => 'the import was cancelled',
  'in-another-build': ({ name }: Params<'name'>) => `${name} is in another build: move it from there`,
  inspected: () => 'an inspected item cannot go back to not inspected',
  known: ({ id }: Params<'id'>) => `task "${id}" already exists`,
  'lead-already-there': ({ title }: Params<'title'>) => `this listing is already a lead: "${title}"`,
  'lead-not-possible': ({ title, state, does }: Params<'title' | 'state' | 'does'>) =>
    `"${title}" is ${state} and cannot ${does}`,
  'log-cancelled': () => 'reading the log was stopped',
  'log-too-long': ({ mostFrames }: Params<'mostFrames'>) =>
    `logs of more than ${mostFrames} frames are not stored; the run itself is saved`,
  'negative-assumption': ({ name }: Params<'name'>) => `${name} must not be below 0`,
  'no-advice': () =>
    'this is not an advice sheet: send the adviser the sheet of an edition, and open the whole reply here',
  'no-backup': () => 'this zip is not a Tarvin backup: it has no database',
  'no-build-for-money': () => 'choose the build that gets the money',
  'no-column': ({ column }: Params<'column'>) =>
    `no column found for the ${column}; choose it in the preview`,
  'no-door-note': ({ title }: Params<'title'>) =>
    `this is not an on-site note: it starts with “${title}” and names its lead`,
  'no-figure': () => 'enter your own figure',
  'no-finding': () => 'this finding no longer applies',
  'no-frames': () => 'the log has no frames',
  'no-frames-in-column': ({ column, first }: Params<'column' | 'first'>) =>
    `no frame times in column “${column}”${first}`,
  'no-header': () =>
    'the first line looks like data; put the column names in the first line (title, price, date, ...)',
  'no-index': ({ missing }: Params<'missing'>) =>
    `a known rate needs ${missing}: paste a table of scores first`,
  'no-json-ld': () => 'no product data (JSON-LD) in this page source; paste the whole source or use the form',
  'no-ledger-column': ({ column }: Params<'column'>) =>
    `missing column "${column}"; the first line must name date, kind, what and cash, plus currency and hours if needed`,
  'no-limit': () => 'enter the most you would pay',
  'no-orders': () => 'no orders to combine',
  'no-part': ({ id }: Params<'id'>) => `there is no part "${id}"`,
  'no-place': () => 'pictures are stored next to a database file, and this database is not a local file',
  'no-price': ({ part }: Params<'part'>) => `no price known for ${part}: enter the most you would pay`,
  'no-price-paid': () => 'price not known: enter what you paid',
  'no-price-to-accept': ({ name }: Params<'name'>) => `${name} has no price today, so it cannot be accepted`,
  'no-price-today': ({ part }: Params<'part'>) => `${part} has no price today`,
  'no-product': () => 'the page source has data, but no product or offer',
  'no-rates': ({ name }: Params<'name'>) =>
    `no fps of ${name} at the settings of your targets, so a match cannot be calculated`,
  'no-rival-column': ({ column }: Params<'column'>) =>
    `missing column "${column}"; the first line must name at least name and price`,
  'no-run-column': ({ column }: Params<'column'>) =>
    `missing column "${column}"; the first line must name workload, cpu, graphics, width, height, preset and average`,
  'no-sale-price': () => 'enter the sale price',
  'no-shop': () => 'choose the shop',
  'no-source': () => 'enter where these were sold',
  'no-targets': () => 'the brief has no targets to match',
  'no-thing': ({ id }: Params<'id'>) => `"${id}" is not one of your parts in this build: plan again`,
  'no-today-file': ({ file }: Params<'file'>) => `cannot read ${file} (TARVIN_TODAY_FILE)`,
  'not-a-date': ({ written }: Params<'written'>) => `"${written}" is not a date; write it as 2026-10-31`,
  'not-a-decimal': ({ text }: Params<'text'>) =>
    `"${text}" is not an amount; write digits with a point, such as 129.50`,
  'not-a-feed': () => 'this URL is not an Atom, RSS or JSON feed',
  'not-a-jpeg': () => 'this is not a JPEG picture',
  'not-an-object': () => 'the body must be a JSON object',
  'not-arrived': ({ id }: Params<'id'>) =>
    `"${id}" has not arrived; record its arrival before selling the PC`,
  'not-bought': () => 'no build paid for this, so there is nothing to refund',
  'not-json': () => 'the body is not JSON',
  'not-open': ({ title, state }: Params<'title' | 'state'>) => `"${title}" is ${state} and cannot be paid`,
  'not-paid': () => 'a rebate needs something you bought',
  'not-possible': ({ name, state, does }: Params<'name' | 'state' | 'does'>) =>
    `${name} is ${state} and cannot ${does}`,
  'not-readable': ({ mostMegapixels }: Params<'mostMegapixels'>) =>
    `the picture cannot be read, or has more than ${mostMegapixels} megapixels`,
  'not-text': ({ kind }: Params<'kind'>) =>
    `this is ${kind}, not a text file; save the list as CSV and drop that`,
  'nothing-kept': () => 'this lead has no part to keep, so it fills no role',
  'nothing-said': () => 'enter an amount or a note',
  'nothing-to-keep': ({ day }: Params<'day'>) => `no comps for ${day}`,
  'nothing-to-sell': () => 'there is nothing in it to sell',
  'of-an-action': () => 'this entry belongs to an item’s step: undo that step instead',
  'option-gone': ({ id }: Params<'id'>) => `the option "${id}" is no longer available`,
  'other-currency': ({ currency, other }: Params<'currency' | 'other'>) =>
    `this build is in ${currency}, the other in ${other}; only builds in the same currency can be compared`,
  'other-role': () => 'the part found must have the same role as the part listed',
  'over-for-buying': ({ name, state }: Params<'name' | 'state'>) =>
    `${name} is ${state}: you cannot buy anything for it`,
  'over-for-choosing': ({ name, state }: Params<'name' | 'state'>) =>
    `${name} is ${state}: you cannot choose anything for it`,
  owned: () => 'you already own this part, so there is nothing to pay',
  'page-currency': ({ currency }: Params<'currency'>) => `the page states the currency "${currency}"`,
  'page-without-price': () => 'the page states no price',
  paid: () => 'already paid',
  'part-already-there': ({ name, role }: Params<'name' | 'role'>) =>
    `${name} is already in the library as ${role}`,
  'part-twice': ({ id }: Params<'id'>) => `part "${id}" appears twice`,
  'paste-bought': () => 'cannot undo: something from this paste has been bought',
  'paste-used': ({ what }: Params<'what'>) => `cannot undo: ${what} from this paste is used elsewhere`,
  'picture-too-large': ({ megabytes }: Params<'megabytes'>) => `a picture may be at most ${megabytes} MB`,
  'not-as-planned': ({ why }: Params<'why'>) => `the plan cannot be taken: ${why}`,
  'planned-way-gone': ({ id }: Params<'id'>) => `the option "${id}" is no longer available: plan again`,
  'preset-in-use': ({ preset }: Params<'preset'>) => `a run uses the preset "${preset}": it must stay`,
  price: () => 'the price must be more than 0',
  'rival-of-unknown-part': ({ name, id }: Params<'name' | 'id'>) =>
    `${name} uses the part "${id}", which is not in the library`,
  'role-twice': () => 'a role appears twice',
  'same-currency': () => 'an exchange rate needs two different currencies',
  'same-id': ({ id }: Params<'id'>) => `"${id}" appears twice`,
  'set-outside': () => 'the passphrase is set by TARVIN_PASSPHRASE at start-up; change it there',
  'several-codes': () => 'at most one code per source',
  'several-currencies': () => 'these builds use different currencies: enter an amount for each',
  'several-orders': () => 'these come from more than one source: pay one order at a time',
  'sold-build': ({ name }: Params<'name'>) => `${name} is sold`,
  'sold-with-pc': () => 'it was sold with its PC: return the PC instead',
  'source-in-use': ({ said, name }: Params<'said' | 'name'>) =>
    `${said} of ${name} kept; they stay in your data`,
  'still-on-order': () => 'something for it is still on order: record its arrival or cancel it',
  'too-deep': ({ deepest }: Params<'deepest'>) => `the JSON is nested more than ${deepest} levels deep`,
  'too-many-rows': ({ most }: Params<'most'>) =>
    `the file has more than ${most} lines; split it and import the pieces one after the other`,
  'disk-full': () => 'the disk is full; nothing was changed. Free some space and try again',
  'unreadable-backup': ({ table, row, column }: Params<'table' | 'row' | 'column'>) =>
    `the backup holds a row that cannot be read (${table}, row ${row}, ${column}); nothing was changed`,
  'other-tables': ({ table }: Params<'table'>) =>
    `the database in this backup is not one of this version: ${table} does not fit; nothing was changed`,
  'too-large': ({ size }: Params<'size'>) => `the upload is larger than ${size}`,
  'too-many': ({ mostPhotos }: Params<'mostPhotos'>) => `a lead may have at most ${mostPhotos} pictures`,
  'too-many-codes': ({ mostStackableCodes }: Params<'mostStackableCodes'>) =>
    `more than ${mostStackableCodes} combinable codes apply; leave some out`,
  'too-many-columns': ({ mostColumns }: Params<'mostColumns'>) =>
    `the first line has more than ${mostColumns} columns; this is not a list of records`,
  'too-many-places': ({ trimmed, currency, digits }: Params<'trimmed' | 'currency' | 'digits'>) =>
    `"${trimmed}" has more decimal places than ${currency} allows (${digits})`,
  'too-short': () => 'the passphrase must have at least eight characters',
  'trip-over': ({ name }: Params<'name'>) => `${name} has already been driven or cancelled`,
  undone: () => 'already undone',
  'unequal-floors': () => 'as many floors as targets',
  'unequal-frames': () => 'every pair needs an fps value for each target',
  'unknown-assumption': ({ key }: Params<'key'>) => `unknown assumption "${key}"`,
  'unknown-build': ({ id }: Params<'id'>) => `there is no other build "${id}"`,
  'unknown-card': ({ id }: Params<'id'>) => `"${id}" is not a graphics card in the library`,
  'unknown-choice': ({ choice }: Params<'choice'>) => `there is no choice ${choice} in this file`,
  'unknown-cpu': ({ id }: Params<'id'>) => `"${id}" is not a CPU in the library`,
  'unknown-currency': ({ currency }: Params<'currency'>) =>
    `"${currency}" is not a currency code; use a three-letter code such as CAD`,
  'unknown-entry': () => 'the entry to correct is not in this ledger',
  'unknown-fact': ({ unknown }: Params<'unknown'>) => `unknown lead fact "${unknown}"`,
  'unknown-frames': () => 'no fps estimate: the brief needs a target, and CPU and card need an index',
  'unknown-item': () => 'the part traded in is not one of yours',
  'unknown-lead': ({ leadId }: Params<'leadId'>) => `there is no lead "${leadId}" in this file`,
  'unknown-line': ({ line }: Params<'line'>) => `there is no line "${line}"`,
  'unknown-part': ({ id }: Params<'id'>) => `"${id}" is not in the parts library`,
  'unknown-preset': ({ name, preset }: Params<'name' | 'preset'>) => `${name} has no preset "${preset}"`,
  'unknown-record': ({ missing }: Params<'missing'>) => `there is no sold record ${missing}`,
  'unknown-rival': () => 'this machine is not in the comparison',
  'unknown-role': ({ rankedRoles }: Params<'rankedRoles'>) => `ranking is available for: ${rankedRoles}`,
  'unknown-sign': ({ strange }: Params<'strange'>) => `unknown risk sign "${strange}"`,
  'unknown-source': ({ id }: Params<'id'>) => `there is no source "${id}"`,
  'unknown-step': ({ id }: Params<'id'>) => `unknown step "${id}"`,
  'unknown-task': ({ taskId }: Params<'taskId'>) => `there is no task "${taskId}"`,
  'unknown-thing': ({ thing }: Params<'thing'>) => `no paid line for "${thing}"`,
  'unknown-trip': ({ tripId }: Params<'tripId'>) => `there is no trip "${tripId}"`,
  'unknown-upscaling': ({ name, upscaling }: Params<'name' | 'upscaling'>) =>
    `${name} has no upscaling "${upscaling}"`,
  'unknown-way': ({ id }: Params<'id'>) => `there is no way "${id}"`,
  'unknown-workload': ({ workloadId }: Params<'workloadId'>) => `there is no workload "${workloadId}"`,
  'variant-items': () => 'a variant holds no items: do this in the build itself',
  'variant-ledger': () => 'a variant has no ledger: enter this in the build itself',
  'variant-other-currency': ({
    name,
    currency,
    variant,
    own,
    payIn,
  }: Params<'name' | 'currency' | 'variant' | 'own' | 'payIn'>) =>
    `${name} is in ${currency}, ${variant} in ${own}: pay in ${payIn}`,
  void: () => 'this choice is void: what it was for is no longer available',
  'way-gone': () => 'this option is no longer available',
  'way-twice': ({ id }: Params<'id'>) => `way "${id}" appears twice`,
} as const

export type ProblemCode = keyof typeof problems

/** The parameters that a code's sentence is made of. */
export type ParamsOfProblem<Code extends ProblemCode> =
  Parameters<(typeof problems)[Code]> extends [infer P] ? P : Readonly<Record<string, never>>

/** The sentence of a refusal. */
export function sentenceOf<Code extends ProblemCode>(code: Code, params: ParamsOfProblem<Code>): string {
  return (problems[code] as (params: ParamsOfProblem<Code>) => string)(params)
}
