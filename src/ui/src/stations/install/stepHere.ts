import type { GateRow, InstallValues, SiteStep } from '../../api/generated/schema';

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

/** A step with what this device has written and not sent yet. */
export function stepHere(step: SiteStep, ahead: InstallValues[]): SiteStep {
  const mine = ahead.filter((e) => e.step === step.id);
  return {
    ...step,
    state: mine.reduce((state, e) => states[e.type] ?? state, step.state),
    gate: step.gate.map((g) => ({ ...g, passed: g.passed || mine.some((e) => meets(g, e)) })),
  };
}
