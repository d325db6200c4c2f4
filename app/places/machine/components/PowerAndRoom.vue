<script setup lang="ts">
import { supplyRuleText } from '#core/machine/power/supplySize'
import type { BuildView } from '#shared/builds/views'
import type { MachineView } from '#shared/machine/views'
import { drawWorking, wallWorking } from '~/workings/machineWorkings'
import { amount, percent, signedAmount } from '~/utils/show'

/** Power: draw, size, wall, leads against their limits. Room: what can be added later, and at what price. */
const { machine, view } = defineProps<{ machine: MachineView; view: BuildView }>()
const currency = computed(() => view.currency)
const watts = (value: number) => `${Math.round(value)} W`
const share = (load: number, limit: number) => Math.min(100, (100 * load) / Math.max(1, limit))
const room = computed(() => machine.room)
</script>

<template>
  <div class="grid grid-cols-2 gap-4 @max-4xl/place:grid-cols-1">
    <section class="sheet self-start p-3" aria-label="power">
      <h2>Power</h2>
      <table class="ledger mt-1">
        <tbody>
          <tr>
            <td>sustained load</td>
            <td class="amount">
              <TheFigure
                strong
                data-figure="sustained"
                :text="watts(machine.power.sustained)"
                :working="() => drawWorking(machine.power)"
              />
            </td>
          </tr>
          <tr>
            <td>with GPU power spikes</td>
            <td class="amount">{{ watts(machine.power.peak) }}</td>
          </tr>
          <tr>
            <td>
              your rule asks for
              <span class="text-xs text-soft">{{
                supplyRuleText(machine.rules.supplyRule, view.assumptions.power)
              }}</span>
            </td>
            <td class="amount">{{ watts(machine.power.wanted) }}</td>
          </tr>
          <tr v-if="machine.power.supply">
            <td>
              PSU rating<template v-if="machine.power.supply.nowW < machine.power.supply.ratedW">
                PSU rating at its age</template
              >
            </td>
            <td
              class="amount"
              :class="
                machine.power.supply.nowW >= Math.max(machine.power.wanted, machine.power.peak)
                  ? 'text-settled'
                  : 'text-stop'
              "
            >
              {{ watts(machine.power.supply.nowW) }}
            </td>
          </tr>
          <template v-if="machine.power.wall">
            <tr>
              <td>wall power: idle, office</td>
              <td class="amount">
                {{ watts(machine.power.wall.idle) }}, {{ watts(machine.power.wall.work) }}
              </td>
            </tr>
            <tr>
              <td>wall power at full load</td>
              <td class="amount">
                <TheFigure
                  strong
                  :text="watts(machine.power.wall.full)"
                  :working="() => wallWorking(machine, view)"
                />
              </td>
            </tr>
            <tr>
              <td>
                energy per year
                <span class="text-xs text-soft"
                  >{{ machine.rules.fullHours }} h full load, {{ machine.rules.idleHours }} h idle per
                  day</span
                >
              </td>
              <td class="amount">
                <TheFigure
                  :text="amount(machine.power.yearly, currency)"
                  :working="() => wallWorking(machine, view)"
                />
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <h3 v-if="machine.power.leads.length > 0" class="mt-3 text-xs text-soft">
        cables and adapters, load and rating
      </h3>
      <div
        v-for="(lead, index) in machine.power.leads"
        :key="index"
        class="mt-1 grid grid-cols-[1fr_110px_90px] items-center gap-2"
      >
        <span class="truncate">{{ lead.what }}</span><span class="h-[8px] border border-line"
          ><span
            class="block h-full"
            :class="lead.loadW > lead.limitW ? 'bg-stop' : 'bg-settled'"
            :style="{ width: `${share(lead.loadW, lead.limitW)}%` }" /></span
        ><span class="figures text-right text-xs" :class="{ 'text-stop': lead.loadW > lead.limitW }"
          >{{ Math.round(lead.loadW) }} of {{ lead.limitW }} W</span
        >
      </div>
    </section>
    <section class="sheet self-start p-3" aria-label="upgrade room">
      <h2>Upgrade room</h2>
      <p v-if="room.first" class="mt-1">
        Best first upgrade: <b>{{ room.first.name }}</b>,
        <span class="figures">{{ signedAmount(room.first.more, currency) }}</span>.
      </p>
      <table class="ledger mt-1">
        <tbody>
          <tr v-if="room.memory">
            <td>free memory slots</td>
            <td class="amount">{{ room.memory.freeSlots }} of {{ room.memory.slots }}</td>
          </tr>
          <tr v-if="room.memory">
            <td>memory installed / maximum</td>
            <td class="amount">
              {{ room.memory.nowGb }} GB,
              {{ room.memory.mostGb === null ? 'not known' : `${room.memory.mostGb} GB` }}
            </td>
          </tr>
          <tr v-if="room.add">
            <td>add {{ room.add.name }}</td>
            <td class="amount">{{ signedAmount(room.add.more, currency) }}</td>
          </tr>
          <tr v-if="room.replace">
            <td>
              or {{ room.replace.name
              }}<template v-if="room.replace.brings > 0"
                >, selling the old kit for {{ amount(room.replace.brings, currency) }}</template
              >
            </td>
            <td class="amount">{{ signedAmount(room.replace.more, currency) }}</td>
          </tr>
          <tr v-if="room.m2Free !== null">
            <td>free M.2 slots / SATA ports</td>
            <td class="amount">{{ room.m2Free }}, {{ room.sataFree ?? '—' }}</td>
          </tr>
          <tr v-if="room.wattsFree !== null">
            <td>watts above your PSU rule</td>
            <td class="amount" :class="room.wattsFree < 0 ? 'text-stop' : ''">{{ room.wattsFree }} W</td>
          </tr>
        </tbody>
      </table>
      <p v-if="room.cpus.length === 0 && room.cpusUnknown" class="mt-3 text-waiting">
        Next CPUs: not known, {{ room.cpusUnknown }}.
      </p>
      <h3 v-if="room.cpus.length > 0" class="mt-3 text-xs text-soft">
        next CPUs for this board, with what they need, after selling the old one
      </h3>
      <table v-if="room.cpus.length > 0" class="ledger">
        <tbody>
          <tr v-for="cpu in room.cpus" :key="cpu.name">
            <td>{{ cpu.name }} <span v-if="cpu.flash" class="tag tag-waiting">BIOS update first</span></td>
            <td class="amount">+{{ percent(cpu.gain) }}</td>
            <td class="amount">{{ signedAmount(cpu.more, currency) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>
