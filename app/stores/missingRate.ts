import { defineStore } from 'pinia'

/** The rate that something asked for and nobody has: its sheet is open while there is one. */
export const useMissingRate = defineStore('missing-rate', {
  state: () => ({ pair: null as { from: string; to: string } | null }),
  actions: {
    open(from: string, to: string) {
      this.pair = { from, to }
    },
    /** From a refusal `no-rate`, whose parameters are the pair. */
    openFor({ from, to }: Readonly<Record<string, unknown>>) {
      this.open(String(from ?? ''), String(to ?? ''))
    },
    close() {
      this.pair = null
    },
  },
})
