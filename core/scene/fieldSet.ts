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
  /** Fields that songs and readings fill by themselves. */
  readonly made?: readonly string[];
}

export interface FieldDef {
  readonly name: string;
  readonly label: string;
  readonly hint: string;
  readonly maxLength: number;
  readonly kind: FieldKindName;
  /** What it holds until something is chosen or typed there; empty, when not said. */
  readonly usual?: string;
  /** Under which heading its form stands; fields of a heading follow one another. */
  readonly group?: string;
  /** Of a choice: what can be chosen. */
  readonly choices?: readonly { readonly value: string; readonly label: string }[];
  /** A field that may stay empty does not hold the page back. */
  readonly optional?: boolean;
  /** Its template shows something of its own where it is empty. */
  readonly hasStandIn?: boolean;
}

/** What a step of its own fills on every page. */
const OF_EVERY_PAGE = ["shown", "next"];

/** Every field that a template for these pages may show. */
export const fieldNamesOf = ({ fields, made = [] }: FieldSet): readonly string[] => [
  ...fields.map(({ name }) => name),
  ...made,
  ...OF_EVERY_PAGE,
];
