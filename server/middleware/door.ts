import { contentPolicy, namedHosts, refusalOf, safeHeaders } from '../http/door'
import { isWelcome } from '../http/signIn'

/** Every request: who asks, and under which name; then whether they have signed in where that is needed. */
export default defineEventHandler(async (event) => {
  setResponseHeaders(event, { ...safeHeaders, 'content-security-policy': contentPolicy() })
  const refusal = refusalOf(
    {
      method: event.method,
      path: event.path,
      host: getRequestHeader(event, 'host'),
      origin: getRequestHeader(event, 'origin'),
      site: getRequestHeader(event, 'sec-fetch-site'),
      contentType: getRequestHeader(event, 'content-type'),
    },
    namedHosts(process.env),
  )
  if (refusal) {
    setResponseStatus(event, refusal.status)
    return { error: { code: refusal.code, message: refusal.message, path: '' } }
  }
  if (event.path.split('?')[0] === '/sign-in' || (await isWelcome(event))) return undefined
  if (event.path.startsWith('/api/')) {
    setResponseStatus(event, 401)
    return { error: { code: 'sign-in', message: 'sign in first', path: '' } }
  }
  return sendRedirect(event, '/sign-in', 302)
})
