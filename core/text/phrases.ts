/**
 * A list of words or phrases written as running text, so that a list of three hundred can be read on one screen.
 *
 * @param text phrases parted by commas; line ends and the space around a phrase mean nothing
 * @returns the phrases in the order written, empty ones left out
 * @example phrases('looking for, wtb') // ['looking for', 'wtb']
 */
export function phrases(text: string): readonly string[] {
  return text
    .split(',')
    .map((each) => each.trim().replace(/\s+/g, ' '))
    .filter((each) => each !== '')
}
