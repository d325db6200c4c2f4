import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { and, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { plainJpeg } from '#core/files/pictures/plainJpeg'
import { databaseUrl, fileOf, type Database } from '#server/db/client'
import { photoFile, photosFolder } from '#server/db/photosFolder'
import { leads, photos } from '#server/db/schema/leads'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'

/** Pictures of leads and arrivals: files beside the database, with nothing in them but the picture. */

const mostBytes = 4 * 1024 * 1024
const mostPhotos = 12

/** The database file that pictures lie beside. Throws `no-place` for a database elsewhere. */
function besideFile(): string {
  const file = fileOf(databaseUrl(process.env))
  if (!file) throw new CoreError('no-place', {}, '')
  return file
}

/** Keeps a JPEG. Anything else, too large or broken is refused; place and time of taking are not kept. */
export async function addPhoto(
  db: Database,
  leadId: string,
  bytes: Uint8Array,
  arrival: boolean,
  today: string,
): Promise<string> {
  const [lead] = await db.select({ id: leads.id }).from(leads).where(eq(leads.id, leadId))
  if (!lead) throw new NotFoundError('lead', leadId)
  if (bytes.length > mostBytes)
    throw new CoreError('picture-too-large', { megabytes: mostBytes / 1024 / 1024 }, 'body')
  const { jpeg, width, height } = plainJpeg(bytes)
  if ((await db.$count(photos, and(eq(photos.leadId, leadId), isNull(photos.deletedAt)))) >= mostPhotos)
    throw new CoreError('too-many', { mostPhotos }, 'body')
  const id = newId('photo')
  await mkdir(photosFolder(besideFile()), { recursive: true })
  const file = photoFile(besideFile(), id)
  // written beside and moved into place: a crash leaves no half picture under its name
  await writeFile(`${file}.part`, jpeg)
  await rename(`${file}.part`, file)
  await db.insert(photos).values({ id, leadId, arrival, width, height, addedOn: today })
  return id
}

export async function readPhoto(db: Database, id: string): Promise<Buffer> {
  const [photo] = await db
    .select({ id: photos.id })
    .from(photos)
    .where(and(eq(photos.id, id), isNull(photos.deletedAt)))
  const bytes = photo && (await readFile(photoFile(besideFile(), photo.id)).catch(() => null))
  if (!bytes) throw new NotFoundError('picture', id)
  return bytes
}

export async function setPhotoDeleted(db: Database, id: string, deletedAt: string | null): Promise<void> {
  const { rowsAffected } = await db.update(photos).set({ deletedAt }).where(eq(photos.id, id))
  if (rowsAffected === 0) throw new NotFoundError('picture', id)
}
