import { stateTag } from '#shared/text/stateTag'
import { textTag } from '../readings/textTag'

/** What a form is opened on is smaller than that; its tag is that of the state, whatever the order of its members. */
const largestForm = 20_000

/** The `ETag` of an answer: of a long one that of its text, which takes a tenth of the time. */
export const answerTag = (value: unknown, text: string): string =>
  `"${text.length < largestForm ? stateTag(value) : textTag(text)}"`
