import type { Finding } from "../findings/finding.ts";
import { t } from "../language/t.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import type { HouseStyle } from "../scene/houseStyle.ts";
import type { FallbackFonts } from "../scene/layOut.ts";
import type { Template } from "../scene/template.ts";
import type { Shaper } from "../text/shaper.ts";
import type { Output, ScreenPlan } from "../venue/plan.ts";
import type { Scripture } from "../words/scripture.ts";
import type { Hash, PageContent } from "./content.ts";

/** A template with the hash it is pinned under. */
export interface OfferedTemplate {
  readonly hash: Hash;
  readonly template: Template;
}

/** An outfit with what it wears looked up. */
export interface Wardrobe {
  readonly outfitId: string;
  readonly linesPerSlide: number;
  /** Outfits that stand in for this one on screens of their shape. */
  readonly variants: readonly string[];
  /** Field set id → the template it wears, and after it those that a page may choose. */
  readonly templates: ReadonlyMap<string, readonly OfferedTemplate[]>;
}

/** What turning typed words into contents needs to know. */
export interface CompileContext {
  readonly fieldSets: ReadonlyMap<string, FieldSet>;
  readonly wardrobes: readonly Wardrobe[];
  /** Words make no step for an outfit that no plan gives to a screen. */
  readonly plans: readonly ScreenPlan[];
  readonly outputs: readonly Output[];
  readonly style: { readonly hash: Hash; readonly style: HouseStyle };
  readonly fallbackFonts: FallbackFonts;
  readonly shaper: Shaper;
  /** A picture or clip of the library, by its id there: the hash of what is known of it. */
  readonly findMedia: (id: string) => Hash | undefined;
  /** The same by the name that it has there. */
  readonly findMediaByName: (name: string) => Hash | undefined;
  /** Whether what is known of a picture or clip is still kept under a hash. */
  readonly hasMedia: (hash: Hash) => boolean;
  readonly scripture: Scripture;
  /** BCP 47 tag of the language that the venue works in: sections are named in it. */
  readonly language: string;
  /** The venue's licence number for this event; empty when not given. */
  readonly licence: string;
}

/** A content, the finding that says why there is none yet, or nothing to take at all. */
export type Compiled =
  | { readonly content: PageContent }
  | { readonly problem: Finding }
  | { readonly silent: true };

/** Why there is nothing to take. */
export const whyNot = (compiled: Exclude<Compiled, { readonly content: PageContent }>): string =>
  "problem" in compiled ? compiled.problem.sentence : t`Nothing of it is taken.`;
