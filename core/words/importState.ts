/** How an import of scripture does. */
export type ImportState =
  | { readonly kind: "idle" }
  | { readonly kind: "importing"; readonly name: string; readonly verses: number; readonly of: number }
  | { readonly kind: "done"; readonly name: string; readonly sentence: string }
  | { readonly kind: "failed"; readonly name: string; readonly sentence: string };
