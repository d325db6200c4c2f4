import { PiniaColada } from '@pinia/colada'
import type { Pinia } from 'pinia'
import { hearOtherTabs } from '~/data/otherTabs'

/** Data of the server in the page, see `app/data`. */
export default defineNuxtPlugin({
  dependsOn: ['pinia'],
  setup({ vueApp, $pinia }) {
    vueApp.use(PiniaColada, { pinia: $pinia as Pinia })
    hearOtherTabs()
  },
})
