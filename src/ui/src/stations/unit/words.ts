import { shown } from '../../parts/show';

/** Minutes of a pull-down; where it is not reached, until when it was waited for. */
export function minutes(pull: { minutes: number | null; limitMinutes: number }): string {
  if (pull.minutes === null) return `not in ${shown(pull.limitMinutes / 60, 'hours')}`;
  return pull.minutes < 100 ? `${pull.minutes} min` : shown(pull.minutes / 60, 'hours');
}
