import { computed, inject, type ComputedRef, type InjectionKey } from 'vue';
import type { LocationQueryRaw } from 'vue-router';
import { leavesOf, stations, type Leaf } from '../api/description';
import type { Figure, Finding, Phrase, Severity, StationFault, StationState, Verdict } from '../api/generated/schema';
import { useRig } from '../stores/rig';

/** The station and leaf that is open, and why the station could not be worked out where it could not. */
export interface Place {
  station: string;
  leaf: Leaf;
  fault: StationFault | undefined;
}

export const placeKey: InjectionKey<ComputedRef<Place>> = Symbol('place');

export const usePlace = (): ComputedRef<Place> => inject(placeKey)!;

interface StationAnswer {
  verdict: Verdict;
  findings: Finding[];
  figures?: Figure[];
  answers?: Record<string, Phrase>;
}

const empty: Phrase = { template: '', measures: [] };

/** The worst of some findings as a state. */
export function worstOf(findings: Finding[]): StationState {
  const has = (level: Severity) => findings.some((f) => f.level === level);
  return has('stop') ? 'stop' : has('caution') ? 'caution' : 'passed';
}

/** What a station says now; nothing where it has no result. */
function answerOf(station: string): StationAnswer | null {
  return ((useRig().assessment as unknown as Record<string, StationAnswer | null> | null)?.[station] ?? null) as StationAnswer | null;
}

/** What stands on a leaf: its verdict, the findings that belong to it, its figures. */
export function leafAnswer(station: string, leaf: string): { verdict: Verdict; findings: Finding[]; figures: Figure[] } | null {
  const answer = answerOf(station);
  if (!answer) return null;
  const first = leavesOf(station)[0]?.name === leaf;
  const here = (of: string) => of === leaf || (first && of === '');
  const findings = answer.findings.filter((f) => here(f.leaf));
  return {
    verdict: first ? answer.verdict : { state: worstOf(findings), headline: answer.answers?.[leaf] ?? empty, detail: empty },
    findings,
    figures: (answer.figures ?? []).filter((f) => here(f.leaf)),
  };
}

/** The shape at a leaf: the worst finding that belongs to it; a station's own stop that no finding explains stands at its first. */
export function leafState(station: string, leaf: string): StationState {
  const answer = answerOf(station);
  if (!answer) return 'open';
  const worst = worstOf(leafAnswer(station, leaf)!.findings);
  const first = leavesOf(station)[0]?.name === leaf;
  return first && worstOf(answer.findings) === 'passed' ? answer.verdict.state : worst;
}

/** The address of a leaf; the first has the station's own. */
export function pathOf(rig: string, station: string, leaf = ''): string {
  return `/rig/${rig}/${station}` + (leaf && leaf !== leavesOf(station)[0]?.name ? `/${leaf}` : '');
}

/** Where a finding is looked at: its leaf, with the field it speaks of marked. */
export function findingPlace(rig: string, finding: Finding): { path: string; query: LocationQueryRaw } {
  const station = stations.includes(finding.station) ? finding.station : 'survey';
  return { path: pathOf(rig, station, finding.leaf), query: { at: finding.field || finding.code } };
}

/** The worst finding of a station that is no note. */
export function worstFinding(station: string): Finding | undefined {
  const findings = answerOf(station)?.findings ?? [];
  return findings.find((f) => f.level === 'stop') ?? findings.find((f) => f.level === 'caution');
}

/** What stands on the leaf that is open. */
export function useLeaf() {
  const place = usePlace();
  return computed(() => leafAnswer(place.value.station, place.value.leaf.name));
}
