import { defineStore } from 'pinia'
import type { Working } from '~/workings/working'

/** The sheet that any underlined figure opens. */
export const useWorkingSheet = defineStore('working-sheet', {
  state: () => ({ working: null as Working | null }),
  actions: {
    open(working: Working) {
      this.working = working
    },
    close() {
      this.working = null
    },
  },
})
