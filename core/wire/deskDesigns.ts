import type { FieldSet } from "../scene/fieldSet.ts";

/** A template that an outfit offers. */
export interface OfferedOnDesk {
  /** Of the thing in Design. */
  readonly id: string;
  /** What pages choose it by. */
  readonly key: string;
  readonly name: string;
  /** It has changes in Design that nobody wears yet. */
  readonly hasDraft: boolean;
}

/** An outfit as the desk names it. */
export interface DeskOutfit {
  readonly id: string;
  readonly name: string;
  readonly linesPerSlide: number;
  /** Field set → the templates it offers, the worn one first. */
  readonly templates: Readonly<Record<string, readonly OfferedOnDesk[]>>;
}

/** What of Design every view of the desk has to know: the fields that pages have, and what screens wear. */
export interface DeskDesigns {
  readonly fieldSets: readonly FieldSet[];
  readonly outfits: readonly DeskOutfit[];
}
