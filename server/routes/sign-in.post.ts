import { bodyBytes } from '../http/bodyBytes'
import { signIn } from '../http/signIn'
import { signInPage } from '../http/signInPage'

/** The one plain form of the application: it works before anything of ours is loaded. */
export default defineEventHandler(async (event) => {
  const sent = new URLSearchParams((await bodyBytes(event, 4096)).toString('utf8'))
  const answer = await signIn(event, sent.get('passphrase') ?? '')
  if (answer === 'in') return sendRedirect(event, '/', 303)
  setHeader(event, 'content-type', 'text/html;charset=utf-8')
  if (answer === 'wrong') {
    setResponseStatus(event, 401)
    return signInPage('Wrong passphrase.')
  }
  const seconds = Math.ceil(answer.waitMs / 1000)
  setResponseStatus(event, 429)
  setHeader(event, 'retry-after', seconds)
  return signInPage(`Too many attempts: wait ${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`)
})
