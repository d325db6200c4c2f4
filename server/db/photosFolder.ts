import { dirname, join } from 'node:path'

/** Where the pictures of a database file lie: beside it. */
export function photosFolder(file: string): string {
  return join(dirname(file), 'photos')
}

/** The file of a picture. */
export function photoFile(file: string, id: string): string {
  return join(photosFolder(file), `${id}.jpg`)
}
