import { computed } from 'vue';
import type { Verdict } from '../../api/generated/schema';
import { useLeaf } from '../../run/place';
import { useRig } from '../../stores/rig';

/** The answer of a leaf of this station with the state of what was found on it. */
export function useSaidLeaf(leaf: string) {
  const rig = useRig();
  const here = useLeaf();
  return computed<Verdict>(() => ({
    state: here.value?.verdict.state ?? 'open',
    headline: rig.assessment!.service!.answers[leaf]!,
    detail: { template: '', measures: [] },
  }));
}
