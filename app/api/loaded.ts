import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { Template } from "../../core/scene/template.ts";

/** What pages load that more than one view asks for: their loaders promise it, their callers rely on it. */
export const LIBRARY_PATH = "/library";
export const DESIGN_PATH = "/design";

export interface LibraryItem {
  readonly id: string;
  readonly info: MediaInfo;
  readonly usedBy: readonly string[];
}

export interface LibraryData {
  readonly items: readonly LibraryItem[];
  readonly fonts: readonly { readonly id: string; readonly name: string }[];
}

export interface ShownWardrobe {
  readonly outfitId: string;
  readonly templates: readonly { readonly template: Template; readonly isWorn: boolean }[];
}

/** A picture or clip of the library that stands in a template's place for one. */
export interface Sample {
  readonly hash: string;
  readonly info: MediaInfo;
}

export interface Samples {
  readonly picture: Sample | null;
  readonly clip: Sample | null;
}

export interface DesignData {
  readonly samples: Samples;
  /** Name of the style in use. */
  readonly worn: string;
  /** What each role of the style in use is set in. */
  readonly faces: HouseStyle["fonts"];
  /** Fonts of the venue. */
  readonly fonts: readonly { readonly id: string; readonly name: string }[];
  readonly wardrobes: readonly ShownWardrobe[];
}
