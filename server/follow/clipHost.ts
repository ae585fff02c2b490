import { MOST_CLIPS } from "../../core/clips/clip.ts";
import type { ClipEdit } from "../../core/clips/clipEdit.ts";
import { detailsOf, MOST_MAPPINGS, titleOfClip } from "../../core/clips/clipMapping.ts";
import type { ReadyClip } from "../../core/clips/readyClip.ts";
import { t } from "../../core/language/t.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { ClipView } from "../../core/wire/followView.ts";
import type { FollowStore } from "../store/followStore.ts";

export interface ClipHostParts {
  readonly store: FollowStore;
  readonly findMedia: (id: string) => MediaInfo | undefined;
  /** How many triggers speak of a clip. */
  readonly usedBy: (clipId: string) => number;
  readonly onChange: () => void;
}

const OTHERWISE = t`This was changed on another desk. Nothing was saved here; look at it as it is now.`;

/** The venue's list of clips, and what the files beside them say. */
export class ClipHost {
  readonly #parts: ClipHostParts;

  constructor(parts: ClipHostParts) {
    this.#parts = parts;
  }

  /** The list with what can be played, in order. */
  ready(): readonly ReadyClip[] {
    const { store, findMedia } = this.#parts;
    return store.clips.map(({ revision: _, ...clip }) => ({
      clip,
      title: titleOfClip(clip, store.mappings),
      details: detailsOf(clip, store.mappings),
      media: findMedia(clip.mediaId) ?? null,
    }));
  }

  views(): ClipView[] {
    const { store, findMedia } = this.#parts;
    return store.clips.map((clip) => ({
      ...clip,
      title: titleOfClip(clip, store.mappings),
      details: detailsOf(clip, store.mappings),
      lengthMs: findMedia(clip.mediaId)?.durationMs ?? null,
    }));
  }

  titleOf(id: string): string {
    const { store } = this.#parts;
    const clip = store.clips.find((each) => each.id === id);
    return clip ? titleOfClip(clip, store.mappings) : t`a clip that is gone`;
  }

  /** @returns a sentence when it cannot be done */
  async edit(edit: ClipEdit): Promise<string | undefined> {
    const problem = await this.#edit(edit);
    if (problem === undefined) this.#parts.onChange();
    return problem;
  }

  async #edit(edit: ClipEdit): Promise<string | undefined> {
    const { store, findMedia, usedBy } = this.#parts;
    const isOther = (known: { readonly revision: number } | undefined, baseRevision: number) =>
      (known?.revision ?? 0) !== baseRevision;
    switch (edit.kind) {
      case "saveClip": {
        const { clip, baseRevision } = edit;
        const known = store.clips.find(({ id }) => id === clip.id);
        if (isOther(known, baseRevision)) return OTHERWISE;
        if (!known && store.clips.length >= MOST_CLIPS)
          return t`There can be ${MOST_CLIPS} clips. Nothing was added; remove one first.`;
        if (clip.mediaId !== known?.mediaId && findMedia(clip.mediaId)?.type !== "video")
          return t`That is no clip of the library. Nothing was saved; choose one that moves.`;
        await store.saveClip(clip, baseRevision + 1);
        return undefined;
      }
      case "bringDetails": {
        const known = store.clips.find(({ id }) => id === edit.id);
        if (!known) return t`That clip is not in the list any more. Nothing was saved.`;
        const { revision, ...clip } = known;
        const { elements, mappingId = clip.mappingId } = edit;
        await store.saveClip({ ...clip, elements, mappingId }, revision + 1);
        return undefined;
      }
      case "removeClip": {
        const uses = usedBy(edit.id);
        if (uses > 0)
          return t`${uses === 1 ? t`One trigger speaks` : t`${uses} triggers speak`} of this clip. Nothing was removed; change them first.`;
        await store.remove("clip", edit.id);
        return undefined;
      }
      case "order": {
        const known = new Set(store.clips.map(({ id }) => id));
        const isWhole = edit.ids.length === known.size && new Set(edit.ids).size === known.size;
        if (!isWhole || edit.ids.some((id) => !known.has(id))) return OTHERWISE;
        await store.orderClips(edit.ids);
        return undefined;
      }
      case "saveMapping": {
        const { mapping, baseRevision } = edit;
        const known = store.mappings.find(({ id }) => id === mapping.id);
        if (isOther(known, baseRevision)) return OTHERWISE;
        if (!known && store.mappings.length >= MOST_MAPPINGS)
          return t`There can be ${MOST_MAPPINGS} mappings. Nothing was added; remove one first.`;
        const same = store.mappings.find(({ id, name }) => id !== mapping.id && name === mapping.name);
        if (same)
          return t`There is a mapping “${mapping.name}” already. Nothing was saved; give it another name.`;
        await store.saveMapping(mapping, baseRevision + 1);
        return undefined;
      }
      case "removeMapping": {
        const uses = store.clips.filter(({ mappingId }) => mappingId === edit.id).length;
        if (uses > 0)
          return t`${uses === 1 ? t`One clip uses` : t`${uses} clips use`} this mapping. Nothing was removed; give them another first.`;
        await store.remove("mapping", edit.id);
        return undefined;
      }
    }
  }
}
