import { defineStore } from 'pinia'
import { useCall } from '~/data/useCall'

/** The date taken for today and the builds; what every page needs. */
export const useSession = defineStore('session', () => {
  const asked = useCall('GET /api/session')
  return { view: computed(() => asked.data.value ?? null), asked }
})
