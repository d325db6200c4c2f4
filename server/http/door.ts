/** What the door looks at in a request. */
export interface Caller {
  readonly method: string
  readonly path: string
  readonly host: string | undefined
  readonly origin: string | undefined
  /** `sec-fetch-site`: what the browser says of where the request comes from. */
  readonly site: string | undefined
  readonly contentType: string | undefined
}

export interface Refusal {
  readonly status: number
  readonly code: string
  readonly message: string
}

const loopbackNames = new Set(['localhost', '127.0.0.1', '[::1]', '::1'])

/** Whether a name or address is this machine itself. */
export function isLoopback(name: string): boolean {
  return loopbackNames.has(name) || /^127(\.\d{1,3}){3}$/.test(name)
}

/** What a page of another site can send without asking first. */
const simpleTypes = /^(application\/x-www-form-urlencoded|multipart\/form-data|text\/plain)\b/i

/**
 * Whether a request may come in, by where it says it comes from: under the name of this machine or one that was named
 * (a foreign name that leads here is how a page outside gets in); nothing of ours to a page of another origin; a
 * change only from our own pages, or from a program that says plainly what it sends.
 *
 * @param hosts names besides this machine's own, from `TARVIN_HOSTS`
 * @returns null where it may
 */
export function refusalOf(caller: Caller, hosts: readonly string[]): Refusal | null {
  const { method, path, host = '', origin, site, contentType = '' } = caller
  const name = host.replace(/:\d+$/, '').toLowerCase()
  if (!isLoopback(name) && !hosts.includes(name))
    return refused(
      421,
      'foreign-host',
      `this server is not "${host.slice(0, 80)}"; add that name to TARVIN_HOSTS if it is correct`,
    )
  const isPage = method === 'GET' && !path.startsWith('/api/')
  if (isPage) return null
  if (origin !== undefined && hostOf(origin) !== host.toLowerCase())
    return refused(403, 'foreign-origin', 'request from another origin rejected')
  if (site !== undefined && site !== 'same-origin' && site !== 'none')
    return refused(403, 'foreign-origin', 'request from another site rejected')
  if (method !== 'GET' && method !== 'HEAD' && origin === undefined && simpleTypes.test(contentType))
    return refused(415, 'content-type', 'send changes as application/json, or as the file itself')
  return null
}

function refused(status: number, code: string, message: string): Refusal {
  return { status, code, message }
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host.toLowerCase() : null
}

/** Names that this application may be called by, from the environment. */
export function namedHosts(env: NodeJS.ProcessEnv): string[] {
  return [env.TARVIN_HOSTS ?? '', listensOn(env)]
    .flatMap((list) => list.split(','))
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '' && name !== '0.0.0.0' && name !== '::')
}

/** Where it listens: `HOST`, else this machine alone. */
export function listensOn(env: NodeJS.ProcessEnv): string {
  return env.NITRO_HOST || env.HOST || '127.0.0.1'
}

/** Headers of every answer. */
export const safeHeaders = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
} as const

/** The policy for a page; `scripts`: hashes of the scripts that stand in it. */
export function contentPolicy(scripts: readonly string[] = []): string {
  return [
    "default-src 'self'",
    // the solver of the plan is a compiled program
    `script-src 'self' 'wasm-unsafe-eval'${scripts.map((hash) => ` 'sha256-${hash}'`).join('')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}
