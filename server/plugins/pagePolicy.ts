import { createHash } from 'node:crypto'
import { contentPolicy } from '../http/door'

/** The policy of a page names the scripts that stand in it by their hash; no other script in a page runs. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    const scripts = [...response.body.matchAll(/<script>([^]*?)<\/script>/g)].map(([, script]) =>
      createHash('sha256').update(script!).digest('base64'),
    )
    response.headers = {
      ...response.headers,
      'content-security-policy': contentPolicy(scripts),
    }
    Reflect.deleteProperty(response.headers, 'x-powered-by')
  })
})
