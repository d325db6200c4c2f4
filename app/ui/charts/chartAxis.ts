/** What every axis of a chart looks like: small soft figures, few of them. `colour` reads a token of the look. */
export function chartAxis(
  colour: (token: `--${string}`) => string,
  { title, format, most = 6 }: { title?: string; format?: (value: number) => string; most?: number },
) {
  return {
    type: 'linear' as const,
    ticks: {
      color: colour('--soft'),
      maxTicksLimit: most,
      font: { size: 11 },
      ...(format ? { callback: (value: number | string) => format(Number(value)) } : {}),
    },
    title: { display: title !== undefined, text: title ?? '', color: colour('--soft'), font: { size: 11 } },
  }
}
