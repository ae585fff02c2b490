import { createContext, useContext } from "react";
import type { FieldKindName } from "../../../../core/scene/fieldKinds.ts";
import { type Reference, type Shape, startOf } from "../../../../core/scene/schemaShape.ts";

/** What a word of a template can name, for whoever chooses: its own name and what people call it. */
export type Known = Readonly<
  Record<Reference, readonly { readonly name: string; readonly title: string }[]>
> & {
  /** Colours of the style, as they are. */
  readonly colors: Readonly<Record<string, string>>;
  /** Makes a field that pages fill, and says what the format calls it; null where songs and readings fill them. */
  readonly makeField: ((kind: FieldKindName, usual: string) => string) | null;
  /** What a field for what is shown of the library holds. */
  readonly mediaField: FieldKindName;
};

export const NOTHING_KNOWN: Known = {
  field: [],
  object: [],
  color: [],
  measure: [],
  shadow: [],
  typeface: [],
  media: [],
  colors: {},
  makeField: null,
  mediaField: "picture",
};
export const KnownContext = createContext<Known>(NOTHING_KNOWN);
export const useKnown = (): Known => useContext(KnownContext);

/** A value to begin with, which names what is here: a reference to nothing is no value. */
export function useStart(): (shape: Shape) => unknown {
  const { field, object, color, measure, shadow, typeface, media } = useKnown();
  const first = (all: Known[Reference]) => all[0]?.name;
  const names = {
    field: first(field) ?? "words",
    object: first(object) ?? "object",
    color: color.find(({ name }) => name === "accent")?.name ?? first(color) ?? "accent",
    measure: first(measure) ?? "radius",
    shadow: first(shadow) ?? "soft",
    typeface: first(typeface) ?? "words",
    media: first(media) ?? "0".repeat(64),
  };
  return (shape) => startOf(shape, names);
}
