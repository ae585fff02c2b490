import type { DesignState } from "../../core/design/designEdit.ts";
import type { FieldSet } from "../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../core/scene/houseStyle.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import type { Template } from "../../core/scene/template.ts";
import type { FontEmbedding } from "../../core/text/fontEmbedding.ts";
import type { MediaUse } from "../../core/wire/mediaUses.ts";

/** What pages load that more than one view asks for: their loaders promise it, their callers rely on it. */
export const LIBRARY_PATH = "/library";
export const DESIGN_PATH = "/design";

export interface LibraryItem {
  readonly id: string;
  readonly info: MediaInfo;
  readonly folder: string;
  readonly tags: readonly string[];
  /** In the open evening, and in templates. */
  readonly uses: readonly MediaUse[];
}

export interface LibraryData {
  readonly items: readonly LibraryItem[];
  readonly fonts: readonly {
    readonly id: string;
    readonly name: string;
    readonly embedding: FontEmbedding;
  }[];
  /** Colours of the house style by name, for what is drawn in one. */
  readonly colors: Readonly<Record<string, string>>;
}

export interface ShownWardrobe {
  readonly outfitId: string;
  readonly templates: readonly {
    /** Of the thing in Design. */
    readonly id: string;
    /** As it is in use; as it is being made where it never was. */
    readonly template: Template;
    readonly isWorn: boolean;
    /** What is being made of it is not in use yet. */
    readonly isDraft: boolean;
    readonly isPublished: boolean;
  }[];
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

export interface ShownStyle {
  readonly id: string;
  readonly style: HouseStyle;
}

/** What the room of a template begins with. */
export interface RoomData {
  readonly id: string;
  readonly doc: Template;
  readonly state: DesignState;
  /** Field → other templates of the same pages that show it, by their names. */
  readonly shownElsewhere: Readonly<Record<string, readonly string[]>>;
  /** The fields of its pages, as they are being made. */
  readonly fieldSet: { readonly doc: FieldSet; readonly state: DesignState };
  readonly styles: readonly ShownStyle[];
  readonly wornStyleId: string;
  readonly samples: Samples;
  /** Of the library, newest last. */
  readonly media: readonly Sample[];
  /** Fonts of the venue. */
  readonly fonts: readonly { readonly id: string; readonly name: string }[];
}

export interface StyleRoomData {
  readonly id: string;
  readonly doc: HouseStyle;
  readonly state: DesignState;
  /** The style that the show uses, and which version of it; null: one that is not the newest. */
  readonly wornStyleId: string;
  readonly wornVersion: number | null;
  readonly samples: Samples;
  readonly media: readonly Sample[];
  readonly fonts: readonly { readonly id: string; readonly name: string }[];
  readonly wardrobes: readonly ShownWardrobe[];
}

export interface DesignData {
  readonly samples: Samples;
  /** The venue's house styles, as they are published. */
  readonly styles: readonly ShownStyle[];
  /** The one in use. */
  readonly wornStyleId: string;
  /** Fonts of the venue. */
  readonly fonts: readonly { readonly id: string; readonly name: string }[];
  readonly wardrobes: readonly ShownWardrobe[];
}
