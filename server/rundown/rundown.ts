import { isDeepStrictEqual } from "node:util";
import { t } from "../../core/language/t.ts";
import { compileCue } from "../../core/rundown/compile.ts";
import type { CompileContext, Compiled } from "../../core/rundown/compileContext.ts";
import type { Hash, PageContent } from "../../core/rundown/content.ts";
import { type CueDoc, cueDocSchema } from "../../core/rundown/cueDoc.ts";
import type { CueView, Edit, EditOutcome } from "../../core/rundown/edits.ts";
import type { Ingredient } from "../../core/rundown/kinds/cueKind.ts";
import { kindOf } from "../../core/rundown/kinds.ts";
import { pinPictures } from "../../core/rundown/pinPictures.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import { replaceInCue } from "../../core/rundown/replaceWords.ts";
import { wornContext } from "../../core/rundown/wornContext.ts";
import { STAGE_NOTE } from "../../designs/fieldSets.ts";
import { SerialQueue } from "../queue/serialQueue.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { CueStore, StoredCue } from "../store/cueStore.ts";
import type { Rank } from "../store/ranks.ts";
import { type KeptContent, sumOfDoc } from "./keptContents.ts";

/** Cues in one show; beyond this Prepare refuses to add. */
const MOST_CUES = 4_000;

/** How long compiling may hold the server at once: a few cues are there in the same breath, many come by and by. */
const FIRST_SLICE_MS = 60;
const SLICE_MS = 8;
/** The same at a start, when nobody waits for anything else yet. */
const START_SLICE_MS = 300;
/** What was compiled by and by is told this often. */
const TELL_EVERY_MS = 250;

interface CompiledCue {
  readonly compiled: Compiled;
  readonly hash: string | null;
}

/** What changed in the rundown, for those who hold a copy. */
export interface RundownChange {
  readonly revision: number;
  readonly order: readonly string[];
  readonly changed: readonly CueView[];
}

/** The rundown as rows and as compiled contents. All edits go through one queue, one after another. */
export class Rundown {
  readonly #cues: CueStore;
  readonly #contents: ContentStore;
  #context: CompileContext;
  readonly #compiled = new Map<string, CompiledCue>();
  #revision = 1;
  #ready: readonly ReadyCue[] | undefined;
  readonly #queue = new SerialQueue();
  /** Cues whose contents are to be made, or made anew. */
  readonly #stale = new Set<string>();
  /** Made, and not told yet: until then what was made before holds. */
  readonly #made = new Map<string, CompiledCue>();
  #isWorking = false;
  /** Cues whose words were saved, and not told yet. */
  readonly #savedIds = new Set<string>();
  readonly #listeners = new Set<(change: RundownChange) => void>();
  readonly #savedListeners = new Set<(cueIds: readonly string[]) => void>();

  constructor(cues: CueStore, contents: ContentStore, context: CompileContext) {
    this.#cues = cues;
    this.#contents = contents;
    this.#context = context;
  }

  onChange(listener: (change: RundownChange) => void): void {
    this.#listeners.add(listener);
  }

  /** Told of cues whose own words were saved, once their contents are made; nothing else that changes contents is a save. */
  onSaved(listener: (cueIds: readonly string[]) => void): void {
    this.#savedListeners.add(listener);
  }

  get revision(): number {
    return this.#revision;
  }

  views(): CueView[] {
    return this.#cues.inOrder().map((cue) => this.#view(cue));
  }

  /** The cues that can be taken, in order, as they were told last. */
  ready(): readonly ReadyCue[] {
    this.#ready ??= this.#cues.inOrder().flatMap((cue, index) => {
      const { compiled, hash } = this.#compiled.get(cue.id) ?? {};
      return compiled && "content" in compiled && hash
        ? [{ cueId: cue.id, index, hash, content: compiled.content, doc: cue.doc }]
        : [];
    });
    return this.#ready;
  }

  /** Makes the contents of all cues at once, where nobody waits for anything else. */
  compileAll(): void {
    for (const { id } of this.#cues.inOrder()) this.#stale.add(id);
    this.#work(Number.POSITIVE_INFINITY);
    this.#tell([]);
  }

  /**
   * Takes over what was kept of the last time, and makes the rest: those from a cue on for so long, then the others by and by.
   * @param kept made with the very context of now
   * @param fromId where the show stands; null: at its beginning
   * @returns how many of those that were kept hold
   */
  begin(kept: readonly KeptContent[], fromId: string | null): number {
    const known = new Map(kept.map((one) => [one.cueId, one]));
    const cues = this.#cues.inOrder();
    const from = Math.max(
      cues.findIndex(({ id }) => id === fromId),
      0,
    );
    for (const { id, doc } of [...cues.slice(from), ...cues.slice(0, from)]) {
      const one = known.get(id);
      if (one?.docSum === sumOfDoc(doc)) {
        const hash = this.#contents.nameAs(one.hash, one.content);
        this.#made.set(id, { compiled: { content: one.content }, hash });
      } else this.#stale.add(id);
    }
    const hold = this.#made.size;
    this.#compileFor(START_SLICE_MS, []);
    return hold;
  }

  /** What is worth keeping for the next start; undefined while some of it is not made yet. */
  toKeep(): readonly ReadyCue[] | undefined {
    return this.#stale.size > 0 ? undefined : this.ready();
  }

  get context(): CompileContext {
    return this.#context;
  }

  /** Cues that were deleted and are not in the rundown again, the latest first. */
  deleted(): ReturnType<CueStore["deleted"]> {
    return this.#cues.deleted();
  }

  /** Whether an outfit is for those on the stage: it has a place for a note to them. */
  isForStage(outfitId: string | undefined): boolean {
    return this.#context.wardrobes.some(
      (wardrobe) => wardrobe.outfitId === outfitId && wardrobe.templates.has(STAGE_NOTE),
    );
  }

  /** Compiles what is typed without keeping it: what Prepare would add. */
  tryOut(doc: CueDoc): Compiled {
    return compileCue(doc, this.#context);
  }

  /**
   * Values of a page with pictures named as they are pinned.
   * @param shown hashes of pictures that are seen: they stand for their names, whatever the library has by now
   */
  pinPictures(
    content: PageContent,
    values: Readonly<Record<string, string>>,
    shown: readonly Hash[],
  ): ReturnType<typeof pinPictures> {
    const findShown = (name: string) =>
      shown.find((hash) => {
        const known = this.#contents.find(hash);
        return known?.kind === "media" && known.name === name;
      });
    const { findMediaByName } = this.#context;
    return pinPictures(content, values, {
      ...this.#context,
      findMediaByName: (name) => findShown(name) ?? findMediaByName(name),
    });
  }

  /** A cue as it is now, made so that it keeps the style and templates of a content of it; undefined while it cannot be taken. */
  findReadyWearing(cueId: string, worn: PageContent): ReadyCue | undefined {
    const ready = this.ready().find((cue) => cue.cueId === cueId);
    if (!ready) return undefined;
    const find = (hash: Hash) => this.#contents.find(hash);
    const compiled = compileCue(ready.doc, wornContext(worn, this.#context, find));
    if (!("content" in compiled)) return undefined;
    return { ...ready, content: compiled.content, hash: this.#contents.name(compiled.content) };
  }

  /**
   * Another style, other templates, pictures or texts: cues are compiled anew, many of them by and by. The air keeps what it was
   * taken with.
   * @param ingredient only cues that are made of this can change; all when not given
   */
  setContext(change: Partial<CompileContext>, ingredient?: Ingredient): void {
    this.#context = { ...this.#context, ...change };
    for (const { id, doc } of this.#cues.inOrder())
      if (!ingredient || kindOf(doc).madeOf.includes(ingredient)) this.#stale.add(id);
    this.#compileSoon([]);
  }

  /** The cues of another evening take the place of these. The air stays as it is. */
  openEvening(eveningId: string): Promise<void> {
    return this.#queue.run(async () => {
      const before = new Map(this.#cues.inOrder().map((cue) => [cue.id, cue]));
      await this.#cues.open(eveningId);
      this.#announce(before);
    });
  }

  edit(actor: string, edit: Edit, atMs: number): Promise<EditOutcome> {
    return this.#queue.run(() => this.#edit(actor, edit, atMs));
  }

  async #edit(actor: string, edit: Edit, atMs: number): Promise<EditOutcome> {
    const before = new Map(this.#cues.inOrder().map((cue) => [cue.id, cue]));
    const outcome = await this.#carryOut(actor, edit, atMs);
    for (const { id, doc } of this.#cues.inOrder())
      if (before.has(id) && before.get(id)?.doc !== doc) this.#savedIds.add(id);
    this.#announce(before);
    return outcome;
  }

  async #carryOut(actor: string, edit: Edit, atMs: number): Promise<EditOutcome> {
    switch (edit.kind) {
      case "addCue": {
        if (this.#cues.find(edit.cueId)) return this.#saved("Add", edit.cueId);
        const count = this.#cues.inOrder().length;
        if (count >= MOST_CUES)
          return {
            kind: "refused",
            sentence: t`The rundown has ${count} cues, which is the most it can hold. Nothing was added; delete some first.`,
          };
        const [rank] = this.#cues.ranksAfter(edit.afterId, 1) as [Rank];
        await this.#cues.change(actor, "Add", [{ cueId: edit.cueId, after: { rank, doc: edit.doc } }], atMs);
        return this.#saved("Add", edit.cueId);
      }
      case "addCues": {
        const fresh = edit.cues.filter(({ cueId }) => !this.#cues.find(cueId));
        const count = this.#cues.inOrder().length;
        if (count + fresh.length > MOST_CUES)
          return {
            kind: "refused",
            sentence: t`The rundown has ${count} cues and can hold ${MOST_CUES}. Nothing was added; delete some first.`,
          };
        const ranks = this.#cues.ranksAfter(edit.afterId, fresh.length);
        const rows = fresh.map(({ cueId, doc }, i) => ({ cueId, after: { rank: ranks[i] as Rank, doc } }));
        if (rows.length > 0) await this.#cues.change(actor, t`Add ${rows.length} cues`, rows, atMs);
        return this.#saved(t`Add ${rows.length} cues`, edit.cues[0]?.cueId ?? null);
      }
      case "replaceWords": {
        const only = edit.cueIds && new Set(edit.cueIds);
        let count = 0;
        const rows = this.#cues.inOrder().flatMap((cue) => {
          if (only && !only.has(cue.id)) return [];
          const replaced = replaceInCue(cue.doc, edit, edit.by, this.#context.fieldSets);
          // A replacement that makes a field longer than it may be leaves that cue alone.
          const fits = replaced.count > 0 && cueDocSchema.safeParse(replaced.doc).success;
          if (fits) count += replaced.count;
          return fits ? [{ cueId: cue.id, after: { rank: cue.rank, doc: replaced.doc } }] : [];
        });
        if (rows.length === 0)
          return {
            kind: "refused",
            sentence: t`“${edit.find}” is nowhere in these words. Nothing was changed.`,
          };
        const label = t`Replace ${count} ${count === 1 ? t`place` : t`places`}`;
        await this.#cues.change(actor, label, rows, atMs);
        return this.#saved(label, rows[0]?.cueId ?? null);
      }
      case "planLengths": {
        const rows = edit.lengths.flatMap(({ cueId, plannedMs }) => {
          const cue = this.#cues.find(cueId);
          if (!cue || cue.doc.plannedMs === plannedMs) return [];
          return [{ cueId, after: { rank: cue.rank, doc: { ...cue.doc, plannedMs } } }];
        });
        const label = t`Plan ${rows.length} ${rows.length === 1 ? t`length` : t`lengths`}`;
        if (rows.length > 0) await this.#cues.change(actor, label, rows, atMs);
        return this.#saved(label, rows[0]?.cueId ?? null);
      }
      case "changeCue": {
        const cue = this.#cues.find(edit.cueId);
        if (!cue) return gone();
        if (cue.revision !== edit.baseRevision) {
          // The answer to this very save was lost on the way: it is saved.
          if (isDeepStrictEqual(cue.doc, edit.doc)) return this.#saved("Change", cue.id);
          return this.#conflict(actor, cue);
        }
        await this.#cues.change(
          actor,
          "Change",
          [{ cueId: edit.cueId, after: { rank: cue.rank, doc: edit.doc } }],
          atMs,
          true,
        );
        return this.#saved("Change", edit.cueId);
      }
      case "moveCue": {
        const cue = this.#cues.find(edit.cueId);
        if (!cue) return gone();
        const [rank] = this.#cues.ranksAfter(edit.afterId, 1, new Set([edit.cueId])) as [Rank];
        await this.#cues.change(actor, "Move", [{ cueId: cue.id, after: { rank, doc: cue.doc } }], atMs);
        return this.#saved("Move", cue.id);
      }
      case "duplicateCue": {
        const cue = this.#cues.find(edit.cueId);
        if (!cue) return gone();
        const [rank] = this.#cues.ranksAfter(cue.id, 1) as [Rank];
        await this.#cues.change(
          actor,
          "Duplicate",
          [{ cueId: edit.newId, after: { rank, doc: cue.doc } }],
          atMs,
        );
        return this.#saved("Duplicate", edit.newId);
      }
      case "deleteCue": {
        if (!this.#cues.find(edit.cueId)) return gone();
        await this.#cues.change(actor, "Delete", [{ cueId: edit.cueId, after: null }], atMs);
        return this.#saved("Delete", null);
      }
      case "deleteCues": {
        const rows = edit.cueIds.flatMap((id) => (this.#cues.find(id) ? [{ cueId: id, after: null }] : []));
        if (rows.length === 0) return gone();
        await this.#cues.change(actor, t`Delete ${rows.length} cues`, rows, atMs);
        return this.#saved(t`Delete ${rows.length} cues`, null);
      }
      case "moveCues": {
        const moved = new Set(edit.cueIds);
        const inOrder = this.#cues.inOrder();
        const cues = inOrder.filter(({ id }) => moved.has(id));
        if (cues.length === 0) return gone();
        // After one that moves itself is after the nearest before it that stays.
        const at = inOrder.findIndex(({ id }) => id === edit.afterId);
        const stays = inOrder.slice(0, at + 1).findLast(({ id }) => !moved.has(id));
        const ranks = this.#cues.ranksAfter(stays?.id ?? null, cues.length, moved);
        const rows = cues.map(({ id, doc }, i) => ({ cueId: id, after: { rank: ranks[i] as Rank, doc } }));
        await this.#cues.change(actor, t`Move ${rows.length} cues`, rows, atMs);
        return this.#saved(t`Move ${rows.length} cues`, cues[0]?.id ?? null);
      }
      case "undo":
      case "redo": {
        const done = await this.#cues.stepBack(actor, edit.kind);
        if (done === "nothing")
          return {
            kind: "refused",
            sentence: t`There is nothing to ${edit.kind}. The rundown is as it was.`,
          };
        if (done === "unreadable")
          return {
            kind: "refused",
            sentence: t`What was there before was written by another version and cannot be read. The rundown is as it was.`,
          };
        if (done === "changedSince")
          return {
            kind: "refused",
            sentence: t`Somebody changed that cue since, so it was left alone. The rundown is as it was.`,
          };
        return this.#saved(
          `${edit.kind === "undo" ? "Undid" : "Redid"}: ${done.label.toLowerCase()}`,
          done.cueId,
        );
      }
    }
  }

  async #conflict(actor: string, cue: StoredCue): Promise<EditOutcome> {
    const who = await this.#cues.whoChanged(cue.id);
    const by = who?.actor !== actor ? "other" : who.byUndo ? "ownUndo" : "own";
    return { kind: "conflict", by, sentence: CONFLICTS[by], current: this.#view(cue) };
  }

  #saved(label: string, cueId: string | null): EditOutcome {
    const cue = cueId === null ? undefined : this.#cues.find(cueId);
    return { kind: "saved", revision: cue?.revision ?? 0, label, cueId };
  }

  #announce(before: ReadonlyMap<string, StoredCue>): void {
    const now = this.#cues.inOrder();
    const changed = now.filter((cue) => before.get(cue.id)?.revision !== cue.revision);
    if (changed.length === 0 && now.map(({ id }) => id).join() === [...before.keys()].join()) return;
    for (const id of before.keys()) if (!this.#cues.find(id)) this.#forget(id);
    this.#compileSoon(changed.map(({ id }) => id));
  }

  /**
   * Compiles what is stale: a first slice now, the rest between other work.
   * @param edited cues that somebody changed just now: they come before all others, and are told of in any case
   */
  #compileSoon(edited: readonly string[]): void {
    const others = [...this.#stale];
    this.#stale.clear();
    for (const id of [...edited, ...others]) this.#stale.add(id);
    this.#compileFor(FIRST_SLICE_MS, edited);
  }

  #compileFor(firstMs: number, edited: readonly string[]): void {
    if (this.#stale.size > 0) this.#work(firstMs);
    this.#tell(edited);
    if (this.#stale.size === 0 || this.#isWorking) return;
    this.#isWorking = true;
    let toldAtMs = performance.now();
    const slice = () => {
      this.#work(SLICE_MS);
      const isDone = this.#stale.size === 0;
      if (isDone || performance.now() - toldAtMs > TELL_EVERY_MS) {
        this.#tell([]);
        toldAtMs = performance.now();
      }
      if (isDone) this.#isWorking = false;
      else setImmediate(slice);
    };
    setImmediate(slice);
  }

  #work(budgetMs: number): void {
    const until = performance.now() + budgetMs;
    for (const id of this.#stale) {
      this.#stale.delete(id);
      const cue = this.#cues.find(id);
      if (!cue) continue;
      const compiled = compileCue(cue.doc, this.#context);
      const hash = "content" in compiled ? this.#contents.name(compiled.content) : null;
      this.#made.set(id, { compiled, hash });
      if (performance.now() > until) return;
    }
  }

  /** From now on what was made holds, for the server and for those who hold a copy. */
  #tell(ids: readonly string[]): void {
    const changed = new Set(ids);
    const before: (CompiledCue | undefined)[] = [];
    for (const [id, made] of this.#made) {
      if (!this.#cues.find(id)) continue;
      before.push(this.#compiled.get(id));
      this.#compiled.set(id, made);
      changed.add(id);
    }
    this.#made.clear();
    for (const entry of before) this.#release(entry);
    this.#ready = undefined;
    this.#revision++;
    const cues = this.#cues.inOrder();
    const change = {
      revision: this.#revision,
      order: cues.map(({ id }) => id),
      changed: cues.filter(({ id }) => changed.has(id)).map((cue) => this.#view(cue)),
    };
    for (const listener of this.#listeners) listener(change);
    const saved = [...this.#savedIds].filter((id) => !this.#stale.has(id));
    for (const id of saved) this.#savedIds.delete(id);
    if (saved.length > 0) for (const listener of this.#savedListeners) listener(saved);
  }

  #view(cue: StoredCue): CueView {
    const entry = this.#compiled.get(cue.id);
    return { cueId: cue.id, revision: cue.revision, doc: cue.doc, compiled: statusOf(entry) };
  }

  /** Drops what a cue was compiled to. */
  #forget(cueId: string): void {
    const entry = this.#compiled.get(cueId);
    this.#compiled.delete(cueId);
    this.#release(entry);
  }

  /** Lets go of a content, unless another cue (a duplicate) has the very same. */
  #release(entry: CompiledCue | undefined): void {
    const hash = entry?.hash;
    if (hash && ![...this.#compiled.values()].some((other) => other.hash === hash))
      this.#contents.forget(hash);
  }
}

function statusOf(entry: CompiledCue | undefined): CueView["compiled"] {
  if (!entry) return { pending: true };
  const { compiled, hash } = entry;
  if (!("content" in compiled)) return compiled;
  return hash ? { hash } : { pending: true };
}

/** What a save is told that was built on what is not there any more. */
const CONFLICTS = {
  other: t`This cue was changed somewhere else while you typed. Your words are still here; the air is as it was.`,
  own: t`This cue was saved from here already, and the answer was lost, or another tab of yours saved it. Your words are still here; the air is as it was.`,
  ownUndo: t`Your own undo changed this cue while words here were not saved yet. They are still here; the air is as it was.`,
} as const;

function gone(): EditOutcome {
  return {
    kind: "refused",
    sentence: t`That cue was deleted somewhere else. The rest of the rundown is as it was; undo there brings it back.`,
  };
}
