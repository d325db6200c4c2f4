import { CoreError } from '#core/errors/coreError'
import { AfterCommit } from '#server/db/afterCommit'
import { writeSecret } from '#server/context/settings'
import { isLongEnough, keepPassphrase } from '#server/http/passphrase'
import { doorChanged } from '#server/http/signIn'
import { defineCall } from '#server/http/defineCall'

/** Sets the passphrase that is asked for where others in the network can reach this; who is signed in must sign in again. */
export default defineCall('PUT /api/settings/passphrase', async ({ db, body }) => {
  const { passphrase } = body
  if (!isLongEnough(passphrase)) throw new CoreError('too-short', {}, 'passphrase')
  if (process.env.TARVIN_PASSPHRASE) throw new CoreError('set-outside', {}, 'passphrase')
  await writeSecret(db, 'passphrase', await keepPassphrase(passphrase))
  return new AfterCommit(async () => {
    doorChanged()
    return { done: true as const }
  })
})
