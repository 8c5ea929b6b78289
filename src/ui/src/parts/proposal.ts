import { ref, type Ref } from 'vue';
import { whyNot } from '../api/client';
import { useRig } from '../stores/rig';

/** An act that the server turns into changes of the rig, and why the last one was refused. */
export function useProposal(): { refused: Ref<string>; propose: (act: string, body?: object) => Promise<boolean> } {
  const rig = useRig();
  const refused = ref('');

  async function propose(act: string, body?: object): Promise<boolean> {
    refused.value = '';
    try {
      await rig.propose(act, body);
    } catch (error) {
      refused.value = whyNot(error);
    }
    return refused.value === '';
  }

  return { refused, propose };
}
