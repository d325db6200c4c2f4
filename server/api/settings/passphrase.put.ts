import { object } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { writeSecret } from '#server/context/settings'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { isLongEnough, keepPassphrase } from '#server/http/passphrase'
import { doorChanged } from '#server/http/signIn'
import { text } from '#shared/fields'

const schema = object({ passphrase: text().required('enter a passphrase').max(200) })

/** Sets the passphrase that is asked for where others in the network can reach this; who is signed in must sign in anew. */
export default writeRoute(async (event) => {
  const { passphrase } = await bodyOf(event, schema)
  if (!isLongEnough(passphrase))
    throw new CoreError('too-short', 'the passphrase must have at least eight characters', 'passphrase')
  if (process.env.TARVIN_PASSPHRASE)
    throw new CoreError(
      'set-outside',
      'the passphrase is set by TARVIN_PASSPHRASE at start-up; change it there',
      'passphrase',
    )
  await writeSecret(await useDatabase(), 'passphrase', await keepPassphrase(passphrase))
  doorChanged()
  return { done: true }
})
