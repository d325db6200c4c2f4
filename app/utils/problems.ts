import type { ValidationError } from 'yup'

/** The problems of a form by the path of their field; a message that begins with the path loses it, since the field stands beside it. */
export function problemsByPath(error: ValidationError): Record<string, string> {
  return Object.fromEntries(
    error.inner.map(({ path = '', message }) => [
      path,
      message.startsWith(`${path} `) ? message.slice(path.length + 1) : message,
    ]),
  )
}
