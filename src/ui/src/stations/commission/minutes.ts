import { axis, tip, tipText } from '../../parts/chart';
import { symbolOf } from '../../parts/show';

/** Minutes along the foot of a picture of a hold. */
export const minutesAxis = () =>
  axis({ type: 'value', name: 'minutes since it was shut off', nameLocation: 'middle', nameGap: 26, min: 0 });

/** What stands at a point of a vacuum's trace. */
export const vacuumTip = () =>
  tip({
    trigger: 'item',
    formatter: (p: { data: number[] }) =>
      tipText(`${Math.round(p.data[0]! * 10) / 10} min`, [`${Math.round(p.data[1]!)} ${symbolOf('vacuum')}`]),
  });
