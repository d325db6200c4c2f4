import { hashText, type TitleScanner } from './titleScanner'

export const notHash = hashText('not')
export const includedHash = hashText('included')

/** `cpu and ram not included`. */
export function isNotIncluded({ hash, count }: TitleScanner, at: number): boolean {
  for (let i = at + 1; i < Math.min(at + 5, count - 1); i += 1)
    if (hash[i] === notHash && hash[i + 1] === includedHash) return true
  return false
}
