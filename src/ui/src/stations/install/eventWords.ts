import type { InstallValues } from '../../api/generated/schema';

/** What happened, as a person says it. */
export const eventWords: Record<InstallValues['type'], string> = {
  stepStarted: 'begun',
  stepPaused: 'paused',
  stepResumed: 'gone on',
  handsOff: 'hands off',
  stepFinished: 'done',
  stepSkipped: 'skipped',
  stepReopened: 'opened again',
  tickSet: 'ticked',
  valueRecorded: 'read',
  photoTaken: 'photographed',
  gateOverridden: 'passed over',
  noteAdded: 'note',
  leftForLater: 'left for later',
  correction: 'corrected',
  waitAlarmSeen: 'alarm seen',
  personOn: 'came',
  personOff: 'left',
  partUsed: 'part used',
  planAccepted: 'plan accepted',
};
