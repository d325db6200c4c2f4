import { lookup as lookUp } from 'node:dns'
import { isIP, type LookupFunction } from 'node:net'
import ipaddr from 'ipaddr.js'
import { Agent, request } from 'undici'

/** The outside refused, or is not to be asked. The message says which address and why. */
export class OutsideError extends Error {
  constructor(
    message: string,
    readonly status: number | null = null,
    options: ErrorOptions = {},
  ) {
    super(message, options)
  }
}

export interface Answer {
  /** Address after redirects. */
  readonly url: string
  readonly status: number
  readonly bytes: Uint8Array
  text(): string
}

export interface OutsideLimits {
  /** Hosts (name and port) that may be private or loopback, since the builder said so. */
  readonly privateHosts: ReadonlySet<string>
  readonly mostBytes: number
  readonly timeoutMs: number
  readonly mostRedirects: number
}

export const outsideDefaults: OutsideLimits = {
  privateHosts: new Set(),
  mostBytes: 20 * 1024 * 1024,
  timeoutMs: 15_000,
  mostRedirects: 5,
}

/** Asks an address; what connectors get to see of the outside. */
export type Outside = (url: string) => Promise<Answer>

/**
 * A way to ask the outside over http and https only. Names are resolved by a look-up that refuses private, loopback,
 * link-local and other special addresses at the moment of connecting, so that a name cannot change its mind between
 * check and use; every redirect is checked again. Answers above the size or time limit are cut off with an error.
 */
export function guardedOutside(limits: Partial<OutsideLimits> = {}): Outside {
  const settings = { ...outsideDefaults, ...limits }
  return async (url) => follow(url, settings)
}

async function follow(first: string, limits: OutsideLimits): Promise<Answer> {
  let url = first
  const signal = AbortSignal.timeout(limits.timeoutMs)
  for (let hop = 0; hop <= limits.mostRedirects; hop += 1) {
    const target = checkedUrl(url, limits)
    const answer = await ask(target, limits, signal)
    if (answer.location === null) return answer
    if (!URL.canParse(answer.location, target.href))
      throw new OutsideError(
        `${target.host} redirects to "${answer.location.slice(0, 100)}", which is not a URL`,
      )
    url = new URL(answer.location, target).href
  }
  throw new OutsideError(`${first} redirects more than ${limits.mostRedirects} times`)
}

function checkedUrl(text: string, limits: OutsideLimits): URL {
  if (!URL.canParse(text)) throw new OutsideError(`"${text.slice(0, 100)}" is not a URL`)
  const url = new URL(text)
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new OutsideError(`${text.slice(0, 100)}: only http and https are supported`)
  if (url.username !== '' || url.password !== '')
    throw new OutsideError(`${url.host}: URLs with a name and password are not supported`)
  const host = url.hostname.replace(/^\[|\]$/g, '')
  if (isIP(host) !== 0 && !limits.privateHosts.has(url.host) && !isPublic(host)) throw refusal(url.host)
  return url
}

function refusal(host: string): OutsideError {
  return new OutsideError(
    `${host} is a private or loopback address; allow it for this source if that is intended`,
  )
}

/** True for an address of the open internet. */
export function isPublic(address: string): boolean {
  if (!ipaddr.isValid(address)) return false
  const told = ipaddr.process(address)
  return told.range() === 'unicast' && !isDisguised(told)
}

/** An address of version 4 in the clothes of version 6 (`::127.0.0.1`), which the ranges do not know. */
function isDisguised(address: ipaddr.IPv4 | ipaddr.IPv6): boolean {
  return address instanceof ipaddr.IPv6 && address.parts.slice(0, 6).every((part) => part === 0)
}

async function ask(
  url: URL,
  limits: OutsideLimits,
  signal: AbortSignal,
): Promise<Answer & { location: string | null }> {
  const isAllowed = limits.privateHosts.has(url.host)
  const dispatcher = new Agent({
    connect: { lookup: isAllowed ? undefined : publicLookup },
    maxResponseSize: limits.mostBytes,
  })
  try {
    const response = await request(url, {
      dispatcher,
      signal,
      headers: { accept: '*/*', 'user-agent': 'tarvin' },
    })
    const location =
      response.statusCode >= 300 && response.statusCode < 400 ? response.headers.location : undefined
    const bytes = await response.body.bytes()
    return {
      url: url.href,
      status: response.statusCode,
      bytes,
      text: () => new TextDecoder().decode(bytes),
      location: typeof location === 'string' ? location : null,
    }
  } catch (cause) {
    throw explained(cause, url, limits)
  } finally {
    await dispatcher.destroy()
  }
}

/** A look-up that answers only with public addresses. */
const publicLookup: LookupFunction = (hostname, options, callback) => {
  lookUp(hostname, { ...options, all: true }, (error, addresses) => {
    if (error) return callback(error, '', 0)
    const closed = addresses.find(({ address }) => !isPublic(address))
    if (closed || addresses.length === 0) return callback(refusal(hostname), '', 0)
    if (options.all) return callback(null, addresses)
    return callback(null, addresses[0]!.address, addresses[0]!.family)
  })
}

function explained(cause: unknown, url: URL, limits: OutsideLimits): OutsideError {
  for (let each = cause; each instanceof Error; each = each.cause) {
    if (each instanceof OutsideError) return each
    const code = 'code' in each ? String(each.code) : ''
    if (each.name === 'TimeoutError')
      return new OutsideError(`${url.host} did not answer within ${limits.timeoutMs / 1000} seconds`, null, {
        cause,
      })
    if (code === 'UND_ERR_RES_EXCEEDED_MAX_SIZE')
      return new OutsideError(
        `${url.host} sent more than ${Math.round(limits.mostBytes / 1048576)} MB`,
        null,
        { cause },
      )
    if (code === 'ECONNREFUSED')
      return new OutsideError(`${url.host} does not answer (connection refused)`, null, { cause })
    if (code === 'ENOTFOUND' || code === 'EAI_AGAIN')
      return new OutsideError(`${url.hostname} was not found`, null, { cause })
  }
  return new OutsideError(
    `${url.host} could not be reached: ${cause instanceof Error ? cause.message : String(cause)}`,
    null,
    { cause },
  )
}

/** An answer of status 200; anything else is an error that names it. */
export function mustBeOk(answer: Answer): Answer {
  if (answer.status === 200) return answer
  throw new OutsideError(
    `${new URL(answer.url).host} replied ${answer.status} for ${new URL(answer.url).pathname}`,
    answer.status,
  )
}
