import type { SpaceDesign, SurveyDesign, WindowDesign } from '../api/generated/schema';

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

/** A space of the rig with where it begins behind the front, metres. */
export interface PlacedSpace {
  name: string;
  cooled: boolean;
  space: SpaceDesign;
  windows: WindowDesign[];
  path: string;
  from: number;
}

/** All spaces from the front to the rear. */
export function spacesOf(survey: SurveyDesign): PlacedSpace[] {
  const all = [
    { name: survey.firstSpaceName || 'first space', cooled: true, space: survey.space, windows: survey.windows, path: '/survey/windows' },
    ...survey.further.map((f, i) => ({
      name: f.name,
      cooled: f.cooled,
      space: f.space,
      windows: f.windows,
      path: `/survey/further/${i}/windows`,
    })),
  ];
  let from = 0;
  return all.map((s) => {
    const placed = { ...s, from };
    from += s.space.lengthM;
    return placed;
  });
}

/** How a rig of that kind is drawn round its measured spaces. */
export function shapeOf(survey: SurveyDesign): RigShape {
  const spaces = spacesOf(survey);
  const length = spaces.reduce((sum, s) => sum + s.space.lengthM, 0);
  const height = Math.max(...spaces.map((s) => s.space.heightM));
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

/** A window as drawn: x from the front (or left edge) of the side, y from the floor, metres, and its row in the design. */
export interface WindowBox {
  x: number;
  y: number;
  w: number;
  h: number;
  covered: boolean;
  name: string;
  path: string;
}

/** Windows of a side as drawn. */
export function windowBoxes(survey: SurveyDesign, side: WindowDesign['side']): WindowBox[] {
  const spaces = spacesOf(survey);
  const there = side === 'front' ? spaces.slice(0, 1) : side === 'rear' ? spaces.slice(-1) : spaces;
  return there.flatMap((s) => boxesOf(s, side));
}

function boxesOf(placed: PlacedSpace, side: WindowDesign['side']): WindowBox[] {
  const { space, windows, path } = placed;
  const across = side === 'front' || side === 'rear';
  const panes = windows.flatMap((w, row) => (w.side === side ? Array.from({ length: w.count }, () => ({ w, row })) : []));
  const span = across ? space.widthM : space.lengthM;
  const glass = panes.reduce((sum, p) => sum + p.w.widthM, 0);
  const gap = Math.max(0.02, (span - glass) / (panes.length + 1));
  let x = gap + (across ? 0 : placed.from);
  return panes.map(({ w, row }) => {
    const box = {
      x,
      y: Math.min(space.heightM - w.heightM - 0.05, Math.max(0.05, space.heightM * 0.62 - w.heightM / 2)),
      w: w.widthM,
      h: w.heightM,
      covered: w.cover !== 'none',
      name: w.name,
      path: `${path}/${row}`,
    };
    x += w.widthM + gap;
    return box;
  });
}
