<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { ask, whyNot } from '../api/client';
import type { CrewRole, CrewState, YardRig } from '../api/generated/schema';
import { moment, say } from '../parts/show';

/** The door to the crew's network: open or shut, a code for the next device, and who is in. */
const state = ref<CrewState | null>(null);
const fault = ref('');
const tls = ref(true);
const role = ref<CrewRole>('fitter');
const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 1000);
useIntervalFn(() => state.value?.on && act(() => ask<CrewState>('GET', '/crew')), 3000);

async function act(what: () => Promise<CrewState>): Promise<void> {
  try {
    state.value = await what();
    fault.value = '';
  } catch (error) {
    fault.value = whyNot(error);
  }
}
onMounted(() => act(() => ask<CrewState>('GET', '/crew')));
const share = (on: boolean) => act(() => ask<CrewState>('POST', '/crew/share', { on, tls: tls.value }));
/** The one rig that a helper or a viewer is shown; empty is all. */
const rigs = ref<YardRig[]>([]);
const only = ref('');
onMounted(async () => (rigs.value = await ask<YardRig[]>('GET', '/rigs').catch(() => [])));
const invite = () =>
  act(() => ask<CrewState>('POST', '/crew/code', { role: role.value, rig: role.value === 'fitter' ? null : only.value || null }));
const nameOf = (id: string | null) => rigs.value.find((r) => r.id === id)?.name ?? '';
const shareDevice = (id: string, on: boolean) => act(() => ask<CrewState>('POST', `/crew/devices/${id}/shared`, { on }));
const sendAway = (id: string) => act(() => ask<CrewState>('DELETE', `/crew/devices/${id}`));
const left = computed(() => (state.value?.code ? Math.max(0, Math.round((Date.parse(state.value.code.until) - now.value) / 1000)) : 0));
const roles: { value: CrewRole; says: string }[] = [
  { value: 'fitter', says: 'changes designs, writes down work' },
  { value: 'helper', says: 'writes down work' },
  { value: 'viewer', says: 'looks' },
];
</script>

<template>
  <section class="crew" aria-label="The crew's network" data-crew>
    <p v-if="fault" class="severity-stop" role="alert">{{ fault }}</p>
    <template v-if="state && !state.on">
      <h2>Nobody but this machine is answered</h2>
      <label class="line"
        ><el-switch v-model="tls" aria-label="with a certificate" /> with a certificate of this machine's own, so that phones go on
        offline</label
      >
      <button type="button" class="plain" data-share @click="share(true)">let the crew's phones in</button>
    </template>
    <template v-else-if="state">
      <div class="side">
        <div>
          <h2>The crew's phones come in at</h2>
          <p v-for="a in state.addresses" :key="a" class="address">{{ a }}</p>
          <p v-if="!state.addresses.length" class="severity-caution">This machine is on no network.</p>
          <p v-if="state.tls" class="soft small">
            The phone warns once, because this machine signed for itself: go on, or open <b>/vanto.cer</b> there, install it, and trust it
            in the phone's settings under certificates.
          </p>
          <p v-else class="severity-caution small" data-plain>
            Without a certificate whoever is on this network can read what passes, and take a phone's place with it. On a network that is
            not yours alone, shut the door and open it with a certificate. A page that is open goes on offline, but must not be closed.
          </p>
          <p class="acts">
            <span class="roles" role="group" aria-label="Who comes">
              <button
                v-for="r in roles"
                :key="r.value"
                type="button"
                class="role"
                :aria-pressed="r.value === role"
                :data-role="r.value"
                @click="role = r.value"
              >
                {{ r.value }} <small>{{ r.says }}</small>
              </button>
            </span>
            <el-select
              v-if="role !== 'fitter'"
              v-model="only"
              class="only"
              aria-label="Which rig is shown"
              placeholder="all rigs"
              clearable
            >
              <el-option v-for="r in rigs" :key="r.id" :value="r.id" :label="`${r.name} only`" />
            </el-select>
            <button type="button" class="plain" data-invite @click="invite">a code for the next device</button>
            <button type="button" class="plain" data-shut @click="share(false)">let nobody in any more</button>
          </p>
        </div>
        <div v-if="state.code && left > 0" class="code">
          <img
            :src="`data:image/svg+xml;utf8,${encodeURIComponent(state.code.qr)}`"
            alt="address and code, to be scanned"
            width="148"
            height="148"
          />
          <p>
            <b data-digits>{{ state.code.digits }}</b>
            <span class="soft">one device, {{ Math.floor(left / 60) }}:{{ String(left % 60).padStart(2, '0') }} left</span>
          </p>
        </div>
      </div>
    </template>
    <ul v-if="state?.devices.length" class="devices">
      <li v-for="d in state.devices" :key="d.id" :data-device="d.name">
        <b>{{ d.name }}</b> <span>{{ d.role }}{{ nameOf(d.rig) ? `, ${nameOf(d.rig)} only` : '' }}</span>
        <span class="soft">last seen {{ moment(d.seenAt) }}</span>
        <span v-if="d.clock" class="severity-caution" data-device-clock>{{ say(d.clock) }}</span>
        <label class="shares"
          ><input type="checkbox" :checked="d.shared" :data-shared="d.name" @change="shareDevice(d.id, !d.shared)" /> several write on
          it</label
        >
        <button type="button" class="plain" @click="sendAway(d.id)">send away</button>
      </li>
    </ul>
    <p v-if="state?.tries.length" class="severity-caution small" data-tries>
      Codes that were none were tried from
      <template v-for="(t, i) in state.tries" :key="t.from"
        >{{ i ? ', ' : '' }}<b>{{ t.from }}</b> ({{ t.tries }}, {{ moment(t.at) }})</template
      >.
    </p>
  </section>
</template>

<style scoped>
.crew {
  background: var(--raised);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 16px;
  margin-bottom: 14px;
}
h2 {
  font-size: 1rem;
  margin: 0 0 6px;
}
.line {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
.side {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 40px;
  justify-content: space-between;
}
.acts {
  margin-top: 10px;
}
.address {
  font-size: 1.25rem;
  font-weight: 700;
  margin: 0 0 4px;
}
.roles {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.role {
  display: grid;
  font: inherit;
  font-weight: 640;
  text-align: left;
  min-height: 52px;
  padding: 4px 12px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--rule);
  border-radius: 3px;
  cursor: pointer;
}
.role small {
  font-weight: 420;
}
.role[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
.only {
  width: 15rem;
}
.code {
  display: flex;
  align-items: center;
  gap: 16px;
}
.code img {
  background: #fff;
}
.code b {
  display: block;
  font-size: 2.4rem;
  letter-spacing: 0.12em;
  font-variant-numeric: tabular-nums;
}
.shares {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
}
.shares input {
  width: 22px;
  height: 22px;
  margin: 0;
  accent-color: var(--ink);
}
.devices {
  list-style: none;
  padding: 0;
  margin: 10px 0 0;
}
.devices li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  border-top: 1px solid var(--hair);
  padding: 4px 0;
}
</style>
