import { listensOn } from '../http/door'
import { isOffLoopback, useDoor } from '../http/signIn'

/** Off this machine it starts only with a passphrase; without `HOST` it listens on this machine alone. */
export default defineNitroPlugin(async () => {
  process.env.NITRO_HOST = listensOn(process.env)
  if (!isOffLoopback()) return
  if (await useDoor().catch(() => null)) return
  console.error(
    `HOST is ${listensOn(process.env)}, so others on the network can reach Tarvin: set ` +
      'TARVIN_PASSPHRASE, or start it for this computer only (HOST=127.0.0.1) and set a ' +
      'passphrase in Settings.',
  )
  process.exit(1)
})
