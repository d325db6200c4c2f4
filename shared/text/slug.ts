/** A name as part of an identity: small letters, digits and hyphens; `id` where nothing else is left. */
export function slug(name: string, longest = 80): string {
  const text = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, longest)
  return text === '' ? 'id' : text
}
