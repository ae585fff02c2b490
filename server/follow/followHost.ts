import { clipAhead } from "../../core/clips/clipAhead.ts";
import type { ClipPlay } from "../../core/clips/clipPlay.ts";
import { t } from "../../core/language/t.ts";
import type { ReadyCue } from "../../core/rundown/readyCue.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { triggersOfCues } from "../../core/show/tiedToSource.ts";
import type { FollowEdit } from "../../core/triggers/followEdit.ts";
import type { FollowSettings } from "../../core/triggers/followSettings.ts";
import { MOST_TRIGGERS, type Trigger } from "../../core/triggers/trigger.ts";
import type { TriggerNames } from "../../core/triggers/triggerNames.ts";
import { MOST_SOURCES, type OnBuses } from "../../core/venue/source.ts";
import type { FollowView, SourceMedia, SourceView } from "../../core/wire/followView.ts";
import type { Links } from "../links/links.ts";
import type { FollowStore } from "../store/followStore.ts";
import type { ClipHost } from "./clipHost.ts";

export interface FollowParts {
  readonly store: FollowStore;
  readonly cues: () => readonly ReadyCue[];
  readonly names: Pick<TriggerNames, "layer" | "plan" | "feed">;
  readonly findMedia: (id: string) => MediaInfo | undefined;
  readonly isOnProgram: (sourceId: string) => boolean;
  readonly links: () => Pick<Links, "doors" | "flapping"> | undefined;
  readonly allowed: readonly string[];
  readonly clips: () => ClipHost;
}

const OTHERWISE = t`This was changed on another desk. Nothing was saved here; look at it as it is now.`;

/** The venue's sources and triggers: what they are, and what they are called. */
export class FollowHost {
  readonly #parts: FollowParts;
  readonly #listeners = new Set<(what: "sources" | "triggers") => void>();
  /** Source → what it showed when that was told last. */
  readonly #shown: Record<string, { readonly mediaId: string; readonly info: MediaInfo }> = {};

  constructor(parts: FollowParts) {
    this.#parts = parts;
  }

  get sources(): readonly SourceView[] {
    return this.#parts.store.sources;
  }

  /**
   * What sources show of the library. What is on program stays as it was, whatever a hand does to its file in the library; once
   * it is off program it is as it is there.
   */
  get media(): SourceMedia {
    const shown: Record<string, MediaInfo> = {};
    for (const { id, picture } of this.sources) {
      if (picture.kind !== "media") continue;
      const before = this.#shown[id];
      const stays = this.#parts.isOnProgram(id) && before?.mediaId === picture.mediaId;
      const info = stays ? before.info : this.#parts.findMedia(picture.mediaId);
      if (info) shown[id] = info;
      if (info) this.#shown[id] = { mediaId: picture.mediaId, info };
      else delete this.#shown[id];
    }
    return shown;
  }

  /** Sources came to program or left it. */
  programChanged(): void {
    const isHeld = Object.values(this.#shown).some(
      ({ mediaId, info }) => this.#parts.findMedia(mediaId)?.file !== info.file,
    );
    if (isHeld) this.#tell("sources");
  }

  get settings(): FollowSettings {
    return this.#parts.store.settings;
  }

  /** What the venue has made, and what cues say of themselves. */
  triggers(): readonly Trigger[] {
    return [...this.#parts.store.triggers, ...triggersOfCues(this.#parts.cues())];
  }

  readonly names: TriggerNames = {
    source: (id) => this.sources.find((source) => source.id === id)?.name ?? t`a source that is gone`,
    cue: (id) =>
      this.#parts.cues().find(({ cueId }) => cueId === id)?.content.title ?? t`a cue that cannot be taken`,
    layer: (id) => this.#parts.names.layer(id),
    plan: (id) => this.#parts.names.plan(id),
    clip: (id) => this.#parts.clips().titleOf(id),
    feed: (id) => this.#parts.names.feed(id),
  };

  view(): FollowView {
    const { store, links, allowed } = this.#parts;
    const flapping = links()?.flapping ?? [];
    return {
      triggers: store.triggers,
      clips: this.#parts.clips().views(),
      mappings: store.mappings,
      settings: store.settings,
      doors: links()?.doors() ?? [],
      flapping: this.sources.flatMap(({ id, input }) =>
        input !== null && flapping.includes(input) ? [id] : [],
      ),
      allowed,
    };
  }

  onChange(listener: (what: "sources" | "triggers") => void): void {
    this.#listeners.add(listener);
  }

  /** The sources that are at some inputs of the mixer; inputs that nobody has named are none. */
  onBuses(on: { readonly program: readonly number[]; readonly preview: readonly number[] }): OnBuses {
    const at = (inputs: readonly number[]) =>
      this.sources.flatMap(({ id, input }) => (input !== null && inputs.includes(input) ? [id] : []));
    return { program: at(on.program), preview: at(on.preview) };
  }

  /** @returns a sentence when it cannot be done */
  async edit(edit: FollowEdit): Promise<string | undefined> {
    const { store } = this.#parts;
    switch (edit.kind) {
      case "saveSource": {
        const { source, baseRevision } = edit;
        const known = store.sources.find(({ id }) => id === source.id);
        if ((known?.revision ?? 0) !== baseRevision) return OTHERWISE;
        if (!known && store.sources.length >= MOST_SOURCES)
          return t`There can be ${MOST_SOURCES} sources. Nothing was added; remove one first.`;
        const same = store.sources.find(
          ({ id, input }) => id !== source.id && input !== null && input === source.input,
        );
        if (same)
          return t`Input ${source.input} is “${same.name}” already. Nothing was saved; give it another number.`;
        await store.saveSource(source, baseRevision + 1);
        this.#tell("sources");
        return undefined;
      }
      case "removeSource": {
        const uses = [
          ...store.triggers.filter(({ when }) => when.kind === "source" && when.sourceId === edit.id),
        ].length;
        const tied = this.#parts.cues().filter(({ doc }) => doc.comesWith?.sourceId === edit.id).length;
        if (uses + tied > 0)
          return t`${uses + tied === 1 ? t`One trigger or cue belongs` : t`${uses + tied} triggers and cues belong`} to this source. Nothing was removed; change them first.`;
        await store.remove("source", edit.id);
        this.#tell("sources");
        return undefined;
      }
      case "saveTrigger": {
        const { trigger, baseRevision } = edit;
        const known = store.triggers.find(({ id }) => id === trigger.id);
        if ((known?.revision ?? 0) !== baseRevision) return OTHERWISE;
        if (!known && store.triggers.length >= MOST_TRIGGERS)
          return t`There can be ${MOST_TRIGGERS} triggers. Nothing was added; remove one first.`;
        await store.saveTrigger(trigger, baseRevision + 1);
        this.#tell("triggers");
        return undefined;
      }
      case "removeTrigger":
        await store.remove("trigger", edit.id);
        this.#tell("triggers");
        return undefined;
      case "settings":
        await store.saveSettings(edit.settings);
        this.#tell("triggers");
        return undefined;
    }
  }

  /** What the player of this show begins next, where a source of it shows that. */
  clipAhead(play: ClipPlay | null): MediaInfo | null {
    const isShown = this.sources.some(({ picture }) => picture.kind === "player");
    return isShown ? clipAhead(play, this.#parts.clips().ready()) : null;
  }

  clipsChanged(): void {
    this.#tell("triggers");
  }

  /** Triggers that speak of a clip. */
  usesOfClip(clipId: string): number {
    return this.#parts.store.triggers.filter(
      ({ when, act }) =>
        (when.kind === "clip" && when.clipId === clipId) ||
        (act.kind === "clip" && act.does.kind === "play" && act.does.clipId === clipId),
    ).length;
  }

  /** Doors, flapping inputs: what desks show of them is other now. */
  linksChanged(): void {
    this.#tell("triggers");
  }

  #tell(what: "sources" | "triggers"): void {
    for (const listener of this.#listeners) listener(what);
  }
}
