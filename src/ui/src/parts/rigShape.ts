import type { SurveyDesign, WindowDesign } from '../api/generated/schema';

/** Lengths in metres of what is drawn round the measured space. */
export interface RigShape {
  length: number;
  height: number;
  nose: number;
  clearance: number;
  wheels: number[];
  wheelRadius: number;
  boat: boolean;
  building: boolean;
}

const noses: Record<string, number> = { van: 1.1, rv: 1.3, bus: 0.5, boat: 1.8, trailer: 0, cabin: 0, workshop: 0, container: 0 };

/** How a rig of that kind is drawn round its measured space. */
export function shapeOf(survey: SurveyDesign): RigShape {
  const { lengthM: length, heightM: height } = survey.space;
  const boat = survey.kind === 'boat';
  const building = ['cabin', 'workshop', 'container'].includes(survey.kind);
  const rolling = !boat && !building;
  return {
    length,
    height,
    nose: noses[survey.kind] ?? 0,
    clearance: rolling ? 0.45 : boat ? 0 : 0.1,
    wheels: rolling
      ? survey.kind === 'trailer'
        ? [length * 0.42]
        : [length * 0.78, -0.35 * (noses[survey.kind] ?? 0) + (survey.kind === 'bus' ? length * 0.2 : 0)]
      : [],
    wheelRadius: survey.kind === 'bus' ? 0.45 : 0.34,
    boat,
    building,
  };
}

/** Windows of a side as drawn: x from the front of the space, y from its floor, metres. */
export function windowBoxes(
  survey: SurveyDesign,
  side: WindowDesign['side'],
): { x: number; y: number; w: number; h: number; covered: boolean; name: string }[] {
  const rows = survey.windows.filter((w) => w.side === side);
  const panes = rows.flatMap((w) => Array.from({ length: w.count }, () => w));
  const span = side === 'front' || side === 'rear' ? survey.space.widthM : survey.space.lengthM;
  const glass = panes.reduce((sum, w) => sum + w.widthM, 0);
  const gap = Math.max(0.02, (span - glass) / (panes.length + 1));
  let x = gap;
  return panes.map((w) => {
    const box = {
      x,
      y: Math.min(survey.space.heightM - w.heightM - 0.05, Math.max(0.05, survey.space.heightM * 0.62 - w.heightM / 2)),
      w: w.widthM,
      h: w.heightM,
      covered: w.cover !== 'none',
      name: w.name,
    };
    x += w.widthM + gap;
    return box;
  });
}
