import { Chart } from 'chart.js'

/** Charts are drawn in the hand of the rest. */
export default defineNuxtPlugin(() => {
  Chart.defaults.font.family = '"Instrument Sans Variable", sans-serif'
})
