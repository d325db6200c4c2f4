import type { BuildView } from '#shared/builds/views'
import type { Queryable } from '#server/db/client'
import { forecasts } from '#server/db/schema/bench'
import { newId } from '#server/db/ids'

/**
 * Freezes what the targets of a build are estimated at, where that has not been done for these very parts. Called when
 * a CPU or a card is paid for.
 */
export async function freezeForecasts(tx: Queryable, view: BuildView, day: string): Promise<void> {
  const cpu = view.parts.find((part) => part.role === 'cpu')
  const card = view.parts.find((part) => part.role === 'graphics') ?? cpu
  if (!cpu || !card) return
  for (const { workloadId, width, height, preset, upscaling, frameGeneration, estimate } of view.targets) {
    // a forecast is held against plain runs
    if (!estimate || upscaling !== null || frameGeneration) continue
    await tx
      .insert(forecasts)
      .values({
        id: newId('forecast'),
        buildId: view.id,
        workloadId,
        cpuId: cpu.id,
        graphicsId: card.id,
        width,
        height,
        preset,
        averageFps: estimate.averageFps,
        low: estimate.range.low,
        high: estimate.range.high,
        madeOn: day,
      })
      .onConflictDoNothing()
  }
}
