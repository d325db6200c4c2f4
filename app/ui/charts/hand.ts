import { Chart } from 'chart.js'

/** Charts are drawn in the hand of the rest; whoever draws one takes this in. */
Chart.defaults.font.family = '"Instrument Sans Variable", sans-serif'
