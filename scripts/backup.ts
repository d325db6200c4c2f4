import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { databaseUrl, fileOf, openDatabase } from '../server/db/client'
import { makeBackup, readBackup, restoreInto } from '../server/db/backup'
import { claimFile, refuseUnknownMigration, startSentence } from '../server/db/guard'
import { migrate } from '../server/db/migrate'

// npm run backup -- FILE.zip makes one of the database that TARVIN_DATABASE_URL names, also while Tarvin runs;
// npm run restore -- FILE.zip puts one in its place, while it does not run.
const [what, path] = process.argv.slice(2)
const folder = join(import.meta.dirname, '../server/db/migrations')
const migrations = readdirSync(folder)
  .filter((name) => name.endsWith('.sql'))
  .map((name) => ({ name: name.replace('.sql', ''), sql: readFileSync(join(folder, name), 'utf8') }))
const file = fileOf(databaseUrl(process.env))
try {
  if (!path || !file) throw new Error('say which zip: npm run backup -- my-tarvin.zip')
  if (what === 'make') {
    const database = await openDatabase(`file:${file}`)
    writeFileSync(path, await makeBackup(database, new Date().toISOString().slice(0, 10)))
    database.client.close()
    process.stdout.write(`${path} holds everything of ${file}\n`)
  } else {
    const backup = await readBackup(readFileSync(path))
    const { preview } = backup
    refuseUnknownMigration(
      preview.migration,
      migrations.map(({ name }) => name),
    )
    const letGo = await claimFile(file)
    const place = await openDatabase(`file:${file}`)
    await migrate(place, migrations)
    await restoreInto(place, backup, migrations)
    place.client.close()
    letGo()
    process.stdout.write(
      `${file} is as of ${preview.madeOn}: ${preview.builds.length} builds, ` +
        `${preview.counts.sold_records} sold records. What was there is beside it, as ` +
        '….before-restore\n',
    )
  }
} catch (error) {
  process.stderr.write(
    `${error instanceof Error && !('code' in error) ? error.message : startSentence(error)}\n`,
  )
  process.exitCode = 1
}
