const counted =
  /(?<!\+ ?|\b\d )\b(\d{1,2})[ -]?(?:cores?|kerne?|kerner|coeurs?|karnor|karnig|nucleos|c ?\/ ?\d{1,2} ?t)\b/
const named =
  /\b(dual|quad|hexa|octa|deca|two|four|six|eight|ten|twelve|sixteen|zwei|vier|sechs|acht|deux|quatre|huit|fyra|sex|atta|cuatro|seis|ocho)[ -]?(?:cores?|kerne?|kerner|coeurs?|karnor|nucleos)\b/
const byName: Readonly<Record<string, number>> = {
  ...{ dual: 2, two: 2, zwei: 2, deux: 2 },
  ...{ quad: 4, four: 4, vier: 4, quatre: 4, fyra: 4, cuatro: 4 },
  ...{ hexa: 6, six: 6, sechs: 6, sex: 6, seis: 6 },
  ...{ octa: 8, eight: 8, acht: 8, huit: 8, atta: 8, ocho: 8 },
  ...{ deca: 10, ten: 10, twelve: 12, sixteen: 16 },
}

/**
 * How many cores a title states, in plain letters; null where it states none. A sum of two kinds of core
 * (`6+4 cores`) is not read.
 *
 * @example statedCores('dovecote 5300 quad core') // 4
 */
export function statedCores(plain: string): number | null {
  const figure = counted.exec(plain)
  if (figure) return Number(figure[1])
  const word = named.exec(plain)
  return word ? byName[word[1]!]! : null
}
