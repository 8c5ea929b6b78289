<script setup lang="ts">
import { ref } from 'vue';
import { ask, whyNot } from '../api/client';
import type { BackupView, ExchangeReport } from '../api/generated/schema';
import PaperLink from '../parts/PaperLink.vue';
import { say } from '../parts/show';

/** Another laptop's jobs by file, and the backups of this one. */
defineProps<{ backups: BackupView }>();
const emit = defineEmits<{ read: [] }>();
const report = ref<ExchangeReport | null>(null);
const refused = ref('');
const busy = ref(false);
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  [refused.value, report.value, busy.value] = ['', null, true];
  try {
    report.value = await ask<ExchangeReport>('POST', '/exchange', new Blob([file], { type: 'application/zip' }));
    emit('read');
  } catch (error) {
    refused.value = whyNot(error);
  } finally {
    busy.value = false;
    input.value = '';
  }
}
</script>

<template>
  <section data-laptops>
    <h2>Another laptop</h2>
    <p class="soft">
      Everything goes over as a file: logs are put together, of two designs that were changed apart the newer counts and the other is kept.
      Reading a file in twice changes nothing.
    </p>
    <div class="ways">
      <PaperLink href="/api/exchange/shop.zip" kind="ZIP" paper="shop">The whole shop as a file</PaperLink>
      <label class="file" :aria-disabled="busy"
        ><span class="plain">{{ busy ? 'reading …' : 'read a file in' }}</span
        ><input type="file" accept=".zip,application/zip" :disabled="busy" data-exchange @change="take"
      /></label>
    </div>
    <p v-if="refused" class="severity-stop" role="alert">{{ refused }}</p>
    <ul v-if="report" class="report" data-report>
      <li v-for="r in report.rigs" :key="r.id">
        <RouterLink :to="`/rig/${r.id}`">{{ r.name }}</RouterLink> {{ say(r.design) }} {{ r.fresh }} records that were not here<template
          v-if="r.readings"
          >, {{ r.readings }} readings of instruments</template
        >.
        <b v-if="r.altered.length" class="severity-stop">Said otherwise there and kept out: {{ r.altered.join('; ') }}.</b>
        <b v-for="p in r.papers" :key="p" class="severity-stop" data-bad-paper>{{ p }}.</b>
        <b v-if="r.missing" class="severity-caution">{{ r.missing }} photographs did not come along.</b>
        <b v-if="r.missingPapers" class="severity-caution">{{ r.missingPapers }} papers stand in its log whose file did not come along.</b>
        <b v-for="u in r.unmet" :key="u.device" class="severity-caution" data-unmet
          >{{ u.numbers.length }} records that laptop {{ u.device.slice(0, 4) }} wrote did not come along: it was not brought.</b
        >
        <b v-if="r.ahead" class="severity-caution">{{ r.ahead }} records come from the future: look at the other laptop’s clock.</b>
      </li>
      <li>Shop: {{ report.shopFresh }} records that were not here.</li>
      <li v-for="a in report.shopAltered" :key="a" class="severity-stop">Said otherwise there and kept out: {{ a }}.</li>
    </ul>
    <h2>Backups</h2>
    <p v-if="backups.newest" data-backups>
      The newest is of {{ backups.newest }}; {{ backups.count }} are kept in <code>{{ backups.folder }}</code>: seven days, five weeks,
      twelve months.
    </p>
    <p v-else data-backups>
      None yet: one is written each day, as soon as nobody is at work, into <code>{{ backups.folder }}</code>.
    </p>
    <p v-if="backups.fault" class="severity-stop" role="alert">The last one could not be written: {{ backups.fault }}</p>
    <p v-else-if="backups.late" class="severity-caution">None for a week.</p>
    <p v-if="backups.sameDisk" class="soft">They lie on the disk of the store and are lost with it: carry one away now and then.</p>
  </section>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  max-width: 36rem;
  margin: 10px 0;
}
.ways > * {
  flex: 1 1 14rem;
}
h2 {
  margin-top: 22px;
}
.file {
  position: relative;
  display: grid;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
}
.file span {
  justify-self: start;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.file:focus-within {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
.report {
  margin: 8px 0;
  padding-left: 18px;
}
.report b {
  display: block;
}
code {
  overflow-wrap: anywhere;
  font-size: 12.5px;
}
</style>
