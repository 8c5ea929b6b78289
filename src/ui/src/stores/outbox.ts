import { ask, Refused, whyNot } from '../api/client';
import type { ConflictView, JobDesign, RigChanged } from '../api/generated/schema';
import { decimalComma, settings } from '../parts/settings';
import { freshId } from '../parts/identity';

/** One field to be changed: text as typed, or a value as it is. */
export interface Edit {
  path: string;
  text?: string;
  value?: unknown;
}

/** Edits that go together. */
export interface Batch {
  edits: Edit[];
  remember: boolean;
}

export interface Conflict extends ConflictView {
  wanted: Edit[];
}

/** What becomes of a batch; told to whoever shows this rig. */
export interface Listener {
  done: (answer: RigChanged, batch: Batch, before: Edit[]) => void;
  refused: (error: Refused, batch: Batch) => void;
  conflicted: (conflict: Conflict) => void;
  changed: () => void;
}

const client = freshId();
const retryAfter = 2000;

/** The value of a design at a path. */
export function valueAt(design: unknown, path: string): unknown {
  return path
    .split('/')
    .filter(Boolean)
    .reduce<unknown>((node, part) => (node as Record<string, unknown> | null | undefined)?.[part], design);
}

/** Edits with later ones of the same fields in their place. */
export function joined(earlier: Edit[], later: Edit[]): Edit[] {
  return [...earlier.filter((e) => !later.some((l) => l.path === e.path)), ...later];
}

const keyOf = (edits: Edit[]) => edits.map((e) => e.path).join();

/**
 * Edits of one rig on their way, in order. Each belongs to its rig for good: leaving for another rig does not redirect it. What the server did
 * not answer stays here and is sent again, by timer and with the next change; an edit whose answer was lost is taken by the server as it stands.
 */
export class Outbox {
  /** Not yet answered, the first first. */
  waiting: Batch[] = [];
  /** Under way at this moment. */
  underWay: Batch | null = null;
  /** Why the first could not be sent; empty while all goes well. */
  failure = '';
  conflict: Conflict | null = null;
  listener: Listener | null = null;
  private timer = 0;

  constructor(
    public readonly id: string,
    public revision: number,
    public design: JobDesign | null,
  ) {}

  /** Fields that are typed but not saved. */
  get paths(): string[] {
    return [
      ...(this.underWay ? [this.underWay] : []),
      ...this.waiting,
      ...(this.conflict ? [{ edits: this.conflict.wanted }] : []),
    ].flatMap((b) => b.edits.map((e) => e.path));
  }

  /** The newest edit of a field that is not answered yet. */
  editOf(path: string): Edit | undefined {
    return [...(this.underWay ? [this.underWay] : []), ...this.waiting].flatMap((b) => b.edits).findLast((e) => e.path === path);
  }

  /** Takes edits; while one is under way only the newest text of a field waits. Resolves when nothing more can be done about them now. */
  async add(edits: Edit[], remember: boolean): Promise<void> {
    if (edits.length === 0) return; // an act that comes to nothing here
    if (this.conflict) {
      this.absorb(edits);
      this.listener?.changed();
      return;
    }
    const last = this.waiting.at(-1);
    if (last && keyOf(last.edits) === keyOf(edits)) last.edits = edits;
    else this.waiting.push({ edits, remember });
    this.listener?.changed();
    await this.send();
  }

  private sending: Promise<void> | null = null;

  /** Sends what waits, one after another. */
  send(): Promise<void> {
    window.clearTimeout(this.timer);
    this.sending ??= this.sendAll().finally(() => {
      this.sending = null;
      this.listener?.changed();
      if (this.waiting.length && this.failure) this.timer = window.setTimeout(() => void this.send(), retryAfter);
    });
    return this.sending;
  }

  private async sendAll(): Promise<void> {
    while (this.waiting.length && !this.conflict) {
      const batch = this.waiting.shift()!;
      this.underWay = batch;
      const before = batch.edits.map((e) => ({ path: e.path, value: valueAt(this.design, e.path) ?? null }));
      try {
        const answer = await ask<RigChanged>('PATCH', `/rigs/${this.id}`, {
          baseRevision: this.revision,
          client,
          units: settings.units,
          decimalComma,
          changes: batch.edits.map((e) => ({ path: e.path, text: e.text ?? null, value: e.value ?? null })),
          label: null,
        });
        this.underWay = null;
        this.failure = '';
        this.revision = answer.revision;
        this.design = answer.design;
        this.listener?.done(answer, batch, before);
      } catch (error) {
        this.underWay = null;
        if (!this.settled(error, batch)) return;
      }
    }
  }

  /** Deals with what went wrong; false where the batch must be sent again later. */
  private settled(error: unknown, batch: Batch): boolean {
    if (error instanceof Refused && error.status === 409) {
      this.conflict = { ...(error.body as ConflictView), wanted: batch.edits };
      for (const later of this.waiting.splice(0)) this.absorb(later.edits);
      this.listener?.conflicted(this.conflict);
      return true;
    }
    if (error instanceof Refused && !error.passes) {
      this.failure = '';
      this.listener?.refused(error, batch);
      return true;
    }
    const next = this.waiting[0];
    if (next && keyOf(next.edits) === keyOf(batch.edits)) next.remember ||= batch.remember;
    else this.waiting.unshift(batch);
    this.failure = whyNot(error);
    return false;
  }

  /** What is typed while a conflict stands belongs to the conflict. */
  private absorb(edits: Edit[]): void {
    const conflict = this.conflict!;
    conflict.wanted = joined(conflict.wanted, edits);
    for (const field of conflict.fields) {
      const mine = edits.find((e) => e.path === field.path);
      if (mine) field.mine = (mine.text ?? mine.value) as typeof field.mine;
    }
  }

  /** Puts away what another tab's value won over. */
  settle(revision: number, design: JobDesign): Edit[] {
    const wanted = this.conflict?.wanted ?? [];
    this.conflict = null;
    this.revision = revision;
    this.design = design;
    return wanted;
  }
}
