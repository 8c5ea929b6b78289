import { defineStore } from 'pinia';
import { markRaw } from 'vue';
import { ask, type Refused } from '../api/client';
import type { DesignChange, Figure, JobAssessment, JobDesign, RigChanged, RigView } from '../api/generated/schema';
import { labelOf, stations } from '../api/description';
import { Outbox, valueAt, type Batch, type Conflict, type Edit, type Listener } from './outbox';

export { valueAt, type Edit };

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
  conflict: Conflict | null;
  /** Paths of fields that are typed but not saved. */
  unsent: string[];
  failure: string;
  undoable: Step[];
  redoable: Step[];
  /** What was changed while the page is open, with the revision it made. */
  changes: { revision: number; labels: string[] }[];
  figure: Figure | null;
  focused: Figure | null;
}

/** Edits on their way, by rig; one with something unsent is kept however often its page is left. */
const outboxes = new Map<string, Outbox>();
let lastKey = '';

/** A page with something unsent is not left without asking. */
window.addEventListener('beforeunload', (event) => {
  if ([...outboxes.values()].some((o) => o.waiting.length > 0 || o.underWay || o.conflict)) event.preventDefault();
});
window.addEventListener('online', () => outboxes.forEach((o) => void o.send()));

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
    unsent: [],
    failure: '',
    undoable: [],
    redoable: [],
    changes: [],
    figure: null,
    focused: null,
  }),
  getters: {
    /** What was changed since a revision, in words; empty where this page does not know. */
    changedSince: (state) => (revision: number) => [
      ...new Set(state.changes.filter((c) => c.revision > revision).flatMap((c) => c.labels)),
    ],
  },
  actions: {
    async open(id: string): Promise<void> {
      const another = this.id !== id;
      if (another) {
        const left = outboxes.get(this.id);
        if (left) left.listener = null;
        if (left && !left.waiting.length && !left.underWay && !left.conflict) outboxes.delete(this.id);
        this.$reset();
        this.id = id;
      }
      const view = await ask<RigView>('GET', `/rigs/${id}`);
      if (this.id !== id) return; // another rig was opened meanwhile
      this.take(view);
    },
    /** Shows a whole rig as the server has it; an answer for another rig is left. */
    take(view: RigView): void {
      if (view.id !== this.id) return;
      this.savedAt = view.savedAt;
      this.design = view.design;
      this.assessment = markRaw(view.assessment);
      this.records = view.records;
      this.before = {};
      lastKey = '';
      const box = this.box();
      if (!box.conflict) {
        box.revision = view.revision;
        box.design = view.design;
      }
      this.revision = box.conflict ? this.revision : view.revision;
      this.follow(box);
      void box.send();
    },
    box(): Outbox {
      let box = outboxes.get(this.id);
      if (!box) outboxes.set(this.id, (box = new Outbox(this.id, this.revision, this.design)));
      box.listener ??= this.listen(box);
      return box;
    },
    listen(box: Outbox): Listener {
      return {
        done: (answer, batch, before) => this.accept(answer, batch, before),
        refused: (error, batch) => this.refuse(error, batch),
        conflicted: (conflict) => (this.conflict = conflict),
        changed: () => this.follow(box),
      };
    },
    /** What the outbox has not got rid of. */
    follow(box: Outbox): void {
      this.unsent = box.paths;
      this.failure = box.failure;
      this.conflict = box.conflict ? { ...box.conflict } : null;
    },
    /** The value of a field as the person last gave it, saved or not. */
    wanted(path: string): unknown {
      const edit = this.unsent.includes(path) ? outboxes.get(this.id)?.editOf(path) : undefined;
      return edit ? (edit.text ?? edit.value) : valueAt(this.design, path);
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
    /** Has the server say what an act comes to in this rig, and changes that; what was typed before is sent first. */
    async propose(act: string, body: object = {}): Promise<void> {
      const box = this.box(); // another rig may be opened before the answer comes
      await box.send();
      const changes = await ask<DesignChange[]>('POST', `/rigs/${box.id}/propose/${act}`, body);
      await box.add(
        changes.map(({ path, value }) => ({ path, value })),
        true,
      );
    },
    change(edits: Edit[], remember = true): Promise<void> {
      return this.box().add(edits, remember);
    },
    accept(done: RigChanged, { edits, remember }: Batch, before: Edit[]): void {
      for (const edit of edits) delete this.errors[edit.path];
      const key = edits.map((e) => e.path).join();
      if (key !== lastKey || edits.some((e) => e.text === undefined))
        this.before = Object.fromEntries((this.assessment?.ledger ?? []).map((entry) => [entry.id, entry.value.value]));
      lastKey = key;
      const fresh = { ...done.assessment } as Record<string, unknown>;
      const old = this.assessment as Record<string, unknown> | null;
      // A station that cannot be worked out keeps what it last said, so that its fields stay; what it says now is the fault.
      for (const part of stations) fresh[part] = (done.changed.includes(part) ? fresh[part] : null) ?? old?.[part] ?? null;
      // Results are replaced whole, never changed: nothing in them needs watching.
      this.assessment = markRaw(fresh as unknown as JobAssessment);
      this.design = done.design;
      this.revision = done.revision;
      this.savedAt = done.savedAt;
      this.changes.push({ revision: done.revision, labels: edits.map((e) => labelOf(e.path)) });
      if (remember) this.remember(before, edits);
    },
    /** An error stands at the field that it names, else at all that were changed. */
    refuse(error: Refused, { edits }: Batch): void {
      const named = new Map(
        error.errors.map((e) => [
          (e.field.startsWith('/') ? '' : '/') + e.field.replaceAll('.', '/').replace(/\[(\d+)\]/g, '/$1'),
          e.reason,
        ]),
      );
      const hit = edits.filter((e) => named.has(e.path));
      for (const edit of hit.length ? hit : edits) this.errors[edit.path] = named.get(edit.path) ?? error.message;
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
      const box = this.box();
      const wanted = box.settle(conflict.revision, conflict.design);
      this.revision = conflict.revision;
      this.design = conflict.design;
      this.follow(box);
      await this.change(wanted);
    },
    async takeTheirs(): Promise<void> {
      const conflict = this.conflict;
      if (!conflict) return;
      const box = this.box();
      box.settle(conflict.revision, conflict.design);
      this.follow(box);
      await this.open(this.id);
    },
  },
});
