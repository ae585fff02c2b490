import type { LucideIcon } from "lucide-react";
import type { ComponentType } from "react";
import type { Anchor } from "../../../../core/rundown/anchor.ts";
import type { CueDoc } from "../../../../core/rundown/cueDoc.ts";
import type { DeskOutfit } from "../../../../core/wire/deskDesigns.ts";
import type { DeskCue } from "../../../desk/deskCues.ts";

export interface CueFormProps<D> {
  readonly cue: DeskCue;
  /** What is typed, saved or not. */
  readonly doc: D;
  readonly outfits: readonly DeskOutfit[];
  /** Outfits that the cue can be seen in. */
  readonly seen: readonly DeskOutfit[];
  /** All that is typed is saved, and the cue is compiled from it. */
  readonly isSaved: boolean;
  readonly actor: string;
  /** The step whose line the caret begins at. */
  readonly caretAt: Anchor | undefined;
  readonly onType: (doc: D) => void;
  readonly onAnchor: (anchor: Anchor | null) => void;
}

/** An empty cue that the menu offers. */
export interface OfferedCue<D> {
  readonly name: string;
  readonly Icon: LucideIcon;
  readonly make: () => D;
}

/** What a kind of cue shows in the editor, and in the menu of empty ones. */
export interface CueForm<D> {
  readonly Form: ComponentType<CueFormProps<D>>;
  /** None where the menu offers it otherwise. */
  readonly offers: readonly OfferedCue<D>[];
  /** Stands beside what says whether it is saved. */
  readonly Foot?: ComponentType<CueFormProps<D>>;
}

export type CueForms = { readonly [K in CueDoc["kind"]]: CueForm<Extract<CueDoc, { kind: K }>> };
