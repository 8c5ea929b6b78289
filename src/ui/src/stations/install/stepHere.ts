import type { GateRow, InstallValues, SiteStep, SiteWait } from '../../api/generated/schema';

const states: Partial<Record<InstallValues['type'], SiteStep['state']>> = {
  stepStarted: 'running',
  stepPaused: 'paused',
  stepResumed: 'running',
  handsOff: 'waiting',
  stepFinished: 'done',
  stepSkipped: 'skipped',
};

/** Whether an event that is not sent yet meets a gate, by the limits that came with the gate; the server judges it when it has it. */
function meets(g: GateRow, e: InstallValues): boolean {
  if (g.kind === 'tick') return e.type === 'tickSet' && e.text === g.key;
  if (e.field !== g.key) return false;
  if (g.kind === 'photo') return e.type === 'photoTaken';
  if (e.type !== 'valueRecorded') return false;
  if (g.kind === 'result') return e.asTyped === g.passes;
  return e.value !== null && e.value >= (g.min ?? -Infinity) && e.value <= (g.max ?? Infinity);
}

/** The steps with what this device has written and not sent yet: states, gates, and what each still waits for. */
export function stepsHere(steps: SiteStep[], ahead: InstallValues[]): SiteStep[] {
  if (!ahead.length) return steps;
  const here = steps.map((step) => {
    const mine = ahead.filter((e) => e.step === step.id);
    return {
      ...step,
      state: mine.reduce((state, e) => states[e.type] ?? state, step.state),
      gate: step.gate.map((g) => ({ ...g, passed: g.passed || mine.some((e) => meets(g, e)) })),
    };
  });
  const over = new Set(here.filter((s) => s.state === 'done' || s.state === 'skipped').map((s) => s.name));
  return here.map((s) => {
    const waitsFor = s.waitsFor.filter((name) => !over.has(name));
    return { ...s, waitsFor, ready: (s.state === 'open' || s.state === 'reopened') && waitsFor.length === 0 };
  });
}

/** Steps that are next on this device, in the order of the run sheet: what is at work, what can be begun, what runs by itself. */
export function nextHere(steps: SiteStep[]): string[] {
  const of = (holds: (s: SiteStep) => boolean) => steps.filter(holds).map((s) => s.id);
  return [
    ...of((s) => s.state === 'running'),
    ...of((s) => s.state === 'paused'),
    ...of((s) => s.ready),
    ...of((s) => s.state === 'waiting'),
  ];
}

/** What runs by itself, with what this device has let go of and not sent yet. */
export function waitsHere(waits: SiteWait[], steps: SiteStep[], ahead: InstallValues[]): SiteWait[] {
  if (!ahead.length) return waits;
  const runs = steps.filter((s) => s.state === 'waiting');
  return runs.flatMap((s) => {
    const letGo = ahead.findLast((e) => e.step === s.id && e.type === 'handsOff');
    const known = waits.find((w) => w.step === s.id);
    return letGo ? [{ step: s.id, name: s.name, what: s.wait, fromMs: letGo.atMs, likelyMin: s.waitMin }] : known ? [known] : [];
  });
}
