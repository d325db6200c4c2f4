import { refreshAll } from './refreshAll'

/** Other tabs of this browser hear of every change, so that none shows a figure of the state before. */
let channel: BroadcastChannel | null = null

/** Once, at the start of the page. */
export function hearOtherTabs(): void {
  channel = new BroadcastChannel('tarvin-changed')
  channel.addEventListener('message', () => void refreshAll())
}

export function tellOtherTabs(): void {
  channel?.postMessage(null)
}
