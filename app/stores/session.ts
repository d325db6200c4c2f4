import { defineStore } from 'pinia'
import type { SessionView } from '#shared/builds/views'
import { request } from '~/utils/request'

/** The date taken for today and the builds; what every page needs. */
export const useSession = defineStore('session', {
  state: () => ({ view: null as SessionView | null }),
  actions: {
    async load() {
      this.view = await request<SessionView>('/api/session')
    },
  },
})
