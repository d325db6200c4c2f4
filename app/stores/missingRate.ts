import { defineStore } from 'pinia'

/** The rate that something asked for and nobody has: its sheet is open while there is one. */
export const useMissingRate = defineStore('missing-rate', {
  state: () => ({ pair: null as { from: string; to: string } | null }),
  actions: {
    open(from: string, to: string) {
      this.pair = { from, to }
    },
    /** From a refusal, which names the pair. */
    openFor(refusal: string) {
      const [, from, to] = /from ([A-Z]{3}) to ([A-Z]{3})/.exec(refusal) ?? []
      this.pair = { from: from ?? '', to: to ?? '' }
    },
    close() {
      this.pair = null
    },
  },
})
