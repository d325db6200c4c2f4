/** `soldPrice` is two words, as `sold_price` is. */
export const wordsApart = (cell: string): string => cell.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
