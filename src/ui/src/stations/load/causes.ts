import { computed } from 'vue';
import { inks } from '../../parts/chart';
import { useRig } from '../../stores/rig';

/** How a cause of heat is drawn: the hue of its kind, and a pattern of its own, so that no two are told apart by shade alone. */
export interface CauseLook {
  colour: string;
  decal: object;
  css: string;
}

const line = (rotation: number, gap = 5) => ({ symbol: 'rect', dashArrayX: [1, 0], dashArrayY: [2, gap], rotation });
const dots = { symbol: 'circle', symbolSize: 0.7, dashArrayX: [[4, 4], [0, 4, 4, 0]], dashArrayY: [4, 0] }; // prettier-ignore
const stripes = (angle: number, gap: number) => (ink: string, paper: string) =>
  `repeating-linear-gradient(${angle}deg, ${ink} 0 2px, ${paper} 2px ${2 + gap}px)`;
const plain = (ink: string) => ink;

const kinds = ['heat', 'heat', 'heat', 'sun', 'sun', 'shore', 'stored', 'fuel', 'cold', 'cold', 'cold'] as const;
const patterns = [
  { decal: { symbol: 'none' }, css: plain },
  { decal: line(Math.PI / 4), css: stripes(-45, 4) },
  { decal: line(0), css: stripes(0, 4) },
  { decal: line(-Math.PI / 4), css: stripes(45, 4) },
  { decal: { symbol: 'none' }, css: plain },
  { decal: line(Math.PI / 2), css: stripes(90, 4) },
  { decal: { symbol: 'none' }, css: plain },
  { decal: line(Math.PI / 4, 8), css: stripes(-45, 7) },
  { decal: { symbol: 'none' }, css: plain },
  { decal: dots, css: stripes(135, 2) },
  { decal: line(0, 8), css: stripes(0, 7) },
];

/** Looks of the causes, in their order. */
export const looks = computed<CauseLook[]>(() =>
  kinds.map((kind, i) => {
    const colour = inks.value[kind];
    const solid = (patterns[i]!.decal as { symbol: string }).symbol === 'none';
    return {
      colour,
      decal: { ...patterns[i]!.decal, color: inks.value.sheet, backgroundColor: solid ? undefined : colour },
      css: patterns[i]!.css(colour, inks.value.sheet),
    };
  }),
);

/** Causes at the peak, the largest first. */
export function usePeakCauses() {
  const rig = useRig();
  return computed(() => {
    const load = rig.assessment?.load;
    return (load?.causes ?? [])
      .map((c, i) => ({ label: c.label, watts: c.watts[load!.peakHour] ?? 0, css: looks.value[i]!.css }))
      .filter((c) => Math.abs(c.watts) > 5)
      .sort((a, b) => b.watts - a.watts);
  });
}
