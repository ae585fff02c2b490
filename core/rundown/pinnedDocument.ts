import type { FieldSet } from "../scene/fieldSet.ts";
import type { HouseStyle } from "../scene/houseStyle.ts";
import type { MediaInfo } from "../scene/media.ts";
import type { Template } from "../scene/template.ts";
import type { Outfit } from "../venue/outfit.ts";
import type { PageContent } from "./content.ts";

/** Everything that is stored under its hash. */
export type PinnedDocument = PageContent | Template | HouseStyle | MediaInfo | FieldSet | Outfit;
export type Documents = ReadonlyMap<string, PinnedDocument>;
