import type { ClipPlay } from "../../core/clips/clipPlay.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Source } from "../../core/venue/source.ts";
import type { SourceMedia } from "../../core/wire/followView.ts";

/** A source that is on program, with what is needed to show it. */
export interface ShownSource {
  readonly source: Source;
  /** What it shows of the library, where it shows something of it. */
  readonly media: MediaInfo | null;
  /** The clip that it plays, where it is the player. */
  readonly play: ClipPlay | null;
  /** Since when it is on program, server time. */
  readonly sinceMs: number;
}

/** The sources on program, in the order in which they came; those that nobody knows are left out. */
export const shownSources = (
  { sources: { program, sinceMs }, clip }: Pick<ShowState, "sources" | "clip">,
  sources: readonly Source[],
  media: SourceMedia,
): ShownSource[] =>
  program.flatMap((id) => {
    const source = sources.find((each) => each.id === id);
    if (!source) return [];
    const play = source.picture.kind === "player" ? clip : null;
    const shown = play ? play.media : (media[id] ?? null);
    return [{ source, media: shown, play, sinceMs: sinceMs[`program/${id}`] ?? 0 }];
  });

/** What of the state says what is on program: two that are the same show the same. */
export const isSameProgram = (
  a: Pick<ShowState, "sources" | "clip"> | undefined,
  b: Pick<ShowState, "sources" | "clip"> | undefined,
): boolean => a?.sources === b?.sources && a?.clip === b?.clip;

/** How dense each of several sources lies over those before it, so that all of them are seen alike while a mixer mixes. */
export const shareOf = (index: number): number => 1 / (index + 1);
