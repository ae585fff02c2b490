import type { FieldKindName } from "./fieldKinds.ts";

/** A named list of fields. Templates that offer the same set are interchangeable. */
export interface FieldSet {
  readonly id: string;
  readonly name: string;
  /** The layer its pages go to. */
  readonly layerId: string;
  readonly fields: readonly FieldDef[];
  /** The field that names its pages in lists; without it, the first that has words. */
  readonly titledBy: string | null;
  /** The field whose lines come step by step; null: one step. */
  readonly stepsBy: string | null;
}

export interface FieldDef {
  readonly name: string;
  readonly label: string;
  readonly hint: string;
  readonly maxLength: number;
  readonly kind: FieldKindName;
  /** A field that may stay empty does not hold the page back. */
  readonly optional?: boolean;
  /** Its template shows something of its own where it is empty. */
  readonly hasStandIn?: boolean;
}
