import { computed } from 'vue';
import type { Phrase, StationState, Verdict } from '../api/generated/schema';
import { useLeaf, usePlace } from '../run/place';
import { useRig } from '../stores/rig';

interface Spoken {
  answers: Record<string, Phrase>;
  leaves?: Record<string, StationState>;
}
const nothing: Phrase = { template: '', measures: [] };

/** What a leaf that is not its station's first says of itself: in the state that the core gives it, else in that of its findings. */
export function useLeafSays(state?: () => StationState | undefined) {
  const rig = useRig();
  const place = usePlace();
  const here = useLeaf();
  return computed<Verdict>(() => {
    const station = (rig.assessment as unknown as Record<string, Spoken | null>)[place.value.station];
    return {
      state: state?.() ?? station?.leaves?.[place.value.leaf.name] ?? here.value?.verdict.state ?? 'open',
      headline: station?.answers[place.value.leaf.name] ?? nothing,
      detail: nothing,
    };
  });
}
