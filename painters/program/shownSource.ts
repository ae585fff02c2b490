import type { MediaInfo } from "../../core/scene/media.ts";
import type { SourcesState } from "../../core/show/triggersState.ts";
import type { Source } from "../../core/venue/source.ts";
import type { SourceMedia } from "../../core/wire/followView.ts";

/** A source that is on program, with what is needed to show it. */
export interface ShownSource {
  readonly source: Source;
  /** What it shows of the library, where it shows something of it. */
  readonly media: MediaInfo | null;
  /** Since when it is on program, server time. */
  readonly sinceMs: number;
}

/** The sources on program, in the order in which they came; those that nobody knows are left out. */
export const shownSources = (
  { program, sinceMs }: SourcesState,
  sources: readonly Source[],
  media: SourceMedia,
): ShownSource[] =>
  program.flatMap((id) => {
    const source = sources.find((each) => each.id === id);
    return source ? [{ source, media: media[id] ?? null, sinceMs: sinceMs[`program/${id}`] ?? 0 }] : [];
  });

/** How dense each of several sources lies over those before it, so that all of them are seen alike while a mixer mixes. */
export const shareOf = (index: number): number => 1 / (index + 1);
