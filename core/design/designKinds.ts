import { t } from "../language/t.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import type { HouseStyle } from "../scene/houseStyle.ts";
import type { Template } from "../scene/template.ts";
import type { Outfit } from "../venue/outfit.ts";
import { applyChanges, type Change, changesBetween } from "./changes.ts";
import type { DesignKind } from "./kinds/designKind.ts";
import { fieldSetDesign } from "./kinds/fieldSet.ts";
import { outfitDesign } from "./kinds/outfit.ts";
import { styleDesign } from "./kinds/style.ts";
import { templateDesign } from "./kinds/template.ts";
import type { Path } from "./tree.ts";

/** What is made in Design. */
export interface DesignDocs {
  readonly template: Template;
  readonly fieldSet: FieldSet;
  readonly outfit: Outfit;
  readonly style: HouseStyle;
}
export type DesignKindName = keyof DesignDocs;
export type DesignDoc<K extends DesignKindName> = DesignDocs[K];

/** Every kind of it. Another is a file in `kinds/` and a line here. */
export const DESIGN_KINDS: { readonly [K in DesignKindName]: DesignKind<DesignDocs[K]> } = {
  template: templateDesign,
  fieldSet: fieldSetDesign,
  outfit: outfitDesign,
  style: styleDesign,
};

/** A kind, for whoever treats all alike. */
const designKind = <K extends DesignKindName>(kind: K) =>
  DESIGN_KINDS[kind] as unknown as DesignKind<DesignDoc<K>>;

/** What has to be changed to make one document the other. */
export function changesOf<K extends DesignKindName>(
  kind: K,
  before: DesignDoc<K>,
  after: DesignDoc<K>,
): Change[] {
  const { toTree } = designKind(kind);
  return changesBetween(toTree(before), toTree(after));
}

/** What is different between two of them, in sentences. */
export function differenceInWords<K extends DesignKindName>(
  kind: K,
  before: DesignDoc<K>,
  after: DesignDoc<K>,
): readonly string[] {
  return designKind(kind).inWords(changesOf(kind, before, after), before, after);
}

export type Changed<T> =
  | { readonly doc: T }
  /** Places where somebody else's change stands. */
  | { readonly clashes: readonly Path[] }
  /** Why it would be no such document any more. */
  | { readonly problem: string };

/** A document with changes made in it that may have been thought of before the last of it was written. */
export function changed<K extends DesignKindName>(
  kind: K,
  doc: DesignDoc<K>,
  changes: readonly Change[],
): Changed<DesignDoc<K>> {
  const { toTree, fromTree, stored, faultOf } = designKind(kind);
  const applied = applyChanges(toTree(doc), changes);
  if ("clashes" in applied) return applied;
  const read = stored.schema.safeParse(fromTree(applied.tree));
  if (read.success) {
    const problem = faultOf?.(read.data);
    return problem === undefined ? { doc: read.data } : { problem };
  }
  const [issue] = read.error.issues;
  return { problem: `${issue?.path.join(".") || t`it`}: ${issue?.message ?? t`is not as it should be`}` };
}
