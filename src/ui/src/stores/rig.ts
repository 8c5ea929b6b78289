import { defineStore } from 'pinia';
import { markRaw } from 'vue';
import { ask, Refused } from '../api/client';
import type { ConflictView, DesignChange, Figure, JobAssessment, JobDesign, RigChanged, RigView } from '../api/generated/schema';
import { decimalComma, settings } from '../parts/settings';

export interface Edit {
  path: string;
  text?: string;
  value?: unknown;
}

interface Step {
  before: Edit[];
  after: Edit[];
}

interface State {
  id: string;
  revision: number;
  savedAt: string;
  design: JobDesign | null;
  assessment: JobAssessment | null;
  records: RigView['records'];
  before: Record<string, number>;
  errors: Record<string, string>;
  conflict: (ConflictView & { wanted: Edit[] }) | null;
  waiting: number;
  failure: string;
  undoable: Step[];
  redoable: Step[];
  figure: Figure | null;
  focused: Figure | null;
}

const client = crypto.randomUUID();
const stationParts = ['survey', 'load', 'unit', 'start', 'energy', 'commission', 'handover'] as const;
let queue: Promise<unknown> = Promise.resolve();
let lastKey = '';
let pending: { path: string; edits: Edit[] } | null = null;

/** The value of a design at a path. */
export function valueAt(design: unknown, path: string): unknown {
  return path
    .split('/')
    .filter(Boolean)
    .reduce<unknown>((node, part) => (node as Record<string, unknown> | null | undefined)?.[part], design);
}

/** Edits with later ones of the same fields in their place. */
function joined(earlier: Edit[], later: Edit[]): Edit[] {
  return [...earlier.filter((e) => !later.some((l) => l.path === e.path)), ...later];
}

/** The open rig: its design, its results, edits under way, undo. */
export const useRig = defineStore('rig', {
  state: (): State => ({
    id: '',
    revision: 0,
    savedAt: '',
    design: null,
    assessment: null,
    records: [],
    before: {},
    errors: {},
    conflict: null,
    waiting: 0,
    failure: '',
    undoable: [],
    redoable: [],
    figure: null,
    focused: null,
  }),
  actions: {
    async open(id: string): Promise<void> {
      if (this.id !== id) this.$reset();
      this.id = id;
      this.take(await ask<RigView>('GET', `/rigs/${id}`));
    },
    take(view: RigView): void {
      this.revision = view.revision;
      this.savedAt = view.savedAt;
      this.design = view.design;
      this.assessment = markRaw(view.assessment);
      this.records = view.records;
      this.before = {};
      lastKey = '';
    },
    /** Sends typed text of one field; while one edit is under way only the newest text of a field waits. */
    type(path: string, text: string): Promise<void> {
      return this.change([{ path, text }]);
    },
    set(path: string, value: unknown): Promise<void> {
      return this.change([{ path, value }]);
    },
    apply(changes: DesignChange[]): Promise<void> {
      return this.change(changes.map((c) => ({ path: c.path, value: c.value })));
    },
    async change(edits: Edit[], remember = true): Promise<void> {
      const key = edits.map((e) => e.path).join();
      if (pending?.path === key) {
        pending.edits = edits;
        return;
      }
      const mine = { path: key, edits };
      pending = mine;
      this.waiting++;
      const turn = queue.then(async () => {
        if (pending === mine) pending = null;
        await this.send(mine.edits, remember);
      });
      queue = turn.catch(() => undefined);
      try {
        await turn;
      } finally {
        this.waiting--;
      }
    },
    async send(edits: Edit[], remember: boolean): Promise<void> {
      if (this.conflict) {
        this.conflict.wanted = joined(this.conflict.wanted, edits);
        for (const field of this.conflict.fields) {
          const mine = edits.find((e) => e.path === field.path);
          if (mine) field.mine = (mine.text ?? mine.value) as typeof field.mine;
        }
        return;
      }
      const before = edits.map((e) => ({ path: e.path, value: valueAt(this.design, e.path) ?? null }));
      try {
        const patch = {
          baseRevision: this.revision,
          client,
          units: settings.units,
          decimalComma,
          changes: edits.map((e) => ({ path: e.path, text: e.text ?? null, value: e.value ?? null })),
          label: null,
        };
        const done = await ask<RigChanged>('PATCH', `/rigs/${this.id}`, patch, true);
        for (const edit of edits) delete this.errors[edit.path];
        this.failure = '';
        this.accept(done, edits);
        if (remember) this.remember(before, edits);
      } catch (error) {
        this.refuse(error, edits);
      }
    },
    accept(done: RigChanged, edits: Edit[]): void {
      const key = edits.map((e) => e.path).join();
      if (key !== lastKey || edits.some((e) => e.text === undefined))
        this.before = Object.fromEntries((this.assessment?.ledger ?? []).map((entry) => [entry.id, entry.value.value]));
      lastKey = key;
      const fresh = { ...done.assessment } as Record<string, unknown>;
      for (const part of stationParts) if (!done.changed.includes(part)) fresh[part] = this.assessment?.[part] ?? null;
      // Results are replaced whole, never changed: nothing in them needs watching.
      this.assessment = markRaw(fresh as unknown as JobAssessment);
      this.design = done.design;
      this.revision = done.revision;
      this.savedAt = done.savedAt;
    },
    refuse(error: unknown, edits: Edit[]): void {
      if (error instanceof Refused && error.status === 409) this.conflict = { ...(error.body as ConflictView), wanted: edits };
      else if (error instanceof Refused) for (const edit of edits) this.errors[edit.path] = error.message;
      else this.failure = 'The server does not answer. What you typed is still here; it is sent again with the next change.';
    },
    remember(before: Edit[], edits: Edit[]): void {
      const after = edits.map((e) => ({ path: e.path, value: valueAt(this.design, e.path) ?? null }));
      const last = this.undoable.at(-1);
      const same =
        last && last.after.map((e) => e.path).join() === after.map((e) => e.path).join() && edits.every((e) => e.text !== undefined);
      if (same) last.after = after;
      else this.undoable.push({ before, after });
      this.redoable = [];
    },
    /** Ends the present burst of typing, so that the next one is undone on its own. */
    async undo(): Promise<void> {
      const step = this.undoable.pop();
      if (!step) return;
      this.redoable.push(step);
      await this.change([...step.before].reverse(), false);
    },
    async redo(): Promise<void> {
      const step = this.redoable.pop();
      if (!step) return;
      this.undoable.push(step);
      await this.change(step.after, false);
    },
    async keepMine(): Promise<void> {
      const conflict = this.conflict;
      if (!conflict) return;
      this.conflict = null;
      this.revision = conflict.revision;
      this.design = conflict.design;
      await this.change(conflict.wanted);
    },
    async takeTheirs(): Promise<void> {
      this.conflict = null;
      await this.open(this.id);
    },
  },
});
