import type { ClipPlay } from "../clips/clipPlay.ts";
import type { Bus } from "../venue/source.ts";

/** Something that happened to which triggers may answer. */
export type Happening =
  | { readonly kind: "source"; readonly bus: Bus; readonly sourceId: string; readonly isOn: boolean }
  | { readonly kind: "cue"; readonly cueId: string; readonly isOn: boolean }
  /** A clip was begun, or is over. */
  | { readonly kind: "clip"; readonly clipId: string; readonly isOn: boolean }
  /** A clip ran on: the places in it that it came to after the first time and up to the second. */
  | { readonly kind: "clipTime"; readonly play: ClipPlay; readonly sinceMs: number; readonly untilMs: number }
  /** The countdown of a cue on air has come to zero. */
  | { readonly kind: "countdown"; readonly cueId: string }
  /** The clock went on: times of day after the first and up to the second have come. */
  | { readonly kind: "time"; readonly sinceMs: number; readonly untilMs: number; readonly timeZone: string }
  /** A cell of a feed; null: it was not there. */
  | {
      readonly kind: "value";
      readonly feedId: string;
      readonly row: string;
      readonly column: string;
      readonly before: string | null;
      readonly now: string | null;
    }
  /** A key of a pad went down that has no action of its own. */
  | { readonly kind: "pad"; readonly key: string }
  /** A message of another device. */
  | { readonly kind: "message"; readonly address: string; readonly args: readonly MessageValue[] };

export type MessageValue = string | number | boolean | null;
