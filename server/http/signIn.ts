import { createHash, randomBytes } from 'node:crypto'
import { useSession as useSealedSession, type H3Event } from 'h3'
import { readSecret, writeSecret, type KeptPassphrase } from '#server/context/settings'
import { useDatabase } from '../db/useDatabase'
import { isLoopback, listensOn } from './door'
import { Attempts, isPassphrase, keepPassphrase } from './passphrase'

interface Door {
  readonly kept: KeptPassphrase
  /** seals the cookie of a session; a new passphrase ends every session */
  readonly seal: string
}

const month = 30 * 24 * 3600
let door: Promise<Door | null> | undefined

/** Whether this application is open to more than the machine it runs on. */
export function isOffLoopback(): boolean {
  return !isLoopback(listensOn(process.env))
}

/** The passphrase in force: `TARVIN_PASSPHRASE`, else the one set on screen; null without any. */
export function useDoor(): Promise<Door | null> {
  door ??= openDoor()
  return door
}

/** After a passphrase was set on screen. */
export function doorChanged(): void {
  door = undefined
}

async function openDoor(): Promise<Door | null> {
  const db = await useDatabase()
  const given = process.env.TARVIN_PASSPHRASE
  const kept = given ? await keepPassphrase(given) : await readSecret(db, 'passphrase')
  if (!kept) return null
  let secret = await readSecret(db, 'seal')
  if (!secret) {
    secret = newSeal()
    await writeSecret(db, 'seal', secret)
  }
  // the passphrase is in the seal: another one, and no old cookie opens
  const own = given ? createHash('sha256').update(given).digest('base64') : kept.hash
  return { kept, seal: createHash('sha256').update(`${secret} ${own}`).digest('base64') }
}

const sessionOf = async (event: H3Event, { seal }: Door) =>
  useSealedSession<{ signedInAt?: number }>(event, {
    name: 'tarvin',
    password: seal,
    maxAge: month,
    cookie: { httpOnly: true, sameSite: 'strict', path: '/', secure: false },
  })

/** Whether the caller has signed in, or need not. */
export async function isWelcome(event: H3Event): Promise<boolean> {
  if (!isOffLoopback()) return true
  const opened = await useDoor()
  if (!opened) return false
  return (await sessionOf(event, opened)).data.signedInAt !== undefined
}

/** What seals the cookies of those who sign in from now on; no cookie of before opens. */
export const newSeal = (): string => randomBytes(32).toString('base64')

/** Takes the session of a caller away. */
export async function signOut(event: H3Event): Promise<void> {
  const opened = await useDoor()
  if (opened) await (await sessionOf(event, opened)).clear()
}

const attempts = new Attempts()

/** Tries a passphrase; on success the session is sealed into a cookie. */
export async function signIn(
  event: H3Event,
  passphrase: string,
): Promise<'in' | 'wrong' | { waitMs: number }> {
  const opened = await useDoor()
  if (!opened) return 'wrong'
  const waitMs = attempts.waitAt(Date.now())
  if (waitMs > 0) return { waitMs }
  // counted before the slow comparison, so that tries side by side do not all get in first
  attempts.failed(Date.now())
  if (!(await isPassphrase(passphrase, opened.kept))) return 'wrong'
  attempts.succeeded()
  await (await sessionOf(event, opened)).update({ signedInAt: Date.now() })
  return 'in'
}
