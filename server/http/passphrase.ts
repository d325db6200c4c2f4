import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import type { KeptPassphrase } from '#server/context/settings'

const shortest = 8
const slowly = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(
  scrypt,
)
const cost = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }

async function hashOf(passphrase: string, salt: Buffer): Promise<Buffer> {
  return slowly(passphrase.normalize('NFKC'), salt, 32, cost)
}

/** Whether a passphrase is long enough to be one. */
export function isLongEnough(passphrase: string): boolean {
  return passphrase.trim().length >= shortest
}

export async function keepPassphrase(passphrase: string): Promise<KeptPassphrase> {
  const salt = randomBytes(16)
  return { salt: salt.toString('base64'), hash: (await hashOf(passphrase, salt)).toString('base64') }
}

/** Compares in constant time; scrypt makes each try cost about a tenth of a second. */
export async function isPassphrase(tried: string, kept: KeptPassphrase): Promise<boolean> {
  const hash = await hashOf(tried, Buffer.from(kept.salt, 'base64'))
  return timingSafeEqual(hash, Buffer.from(kept.hash, 'base64'))
}

const longestWaitMs = 30_000

/**
 * Slows down whoever guesses: after each failure the next try is let in only after twice the time, a quarter of a
 * second at first, half a minute at most; a success begins again. One person's tool: all tries count together.
 */
export class Attempts {
  private failures = 0
  private nextAt = 0

  /** Milliseconds until the next try is let in; 0: now. */
  waitAt(now: number): number {
    return Math.max(0, this.nextAt - now)
  }

  failed(now: number): void {
    this.failures += 1
    this.nextAt = now + Math.min(longestWaitMs, 250 * 2 ** (this.failures - 1))
  }

  succeeded(): void {
    this.failures = 0
    this.nextAt = 0
  }
}
