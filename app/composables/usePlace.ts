import { placeOf, type PlaceKey, type places } from '#shared/places'

type KeysOf<Key extends PlaceKey> = (typeof places)[Key] extends { readonly keys: infer Keys }
  ? keyof Keys
  : never

/** What a page does as a place: its title, and what its keys do, each of those its record names. */
export function usePlace<const Key extends PlaceKey>(
  key: Key,
  ...[actions]: [KeysOf<Key>] extends [never] ? [] : [Readonly<Record<KeysOf<Key>, () => void>>]
) {
  useHead({ title: `${placeOf(key).name} · Tarvin` })
  if (actions) useKeys(actions)
}
