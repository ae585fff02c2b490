import { useMemo } from "react";
import type { FieldSet } from "../../../core/scene/fieldSet.ts";
import type { HouseStyle } from "../../../core/scene/houseStyle.ts";
import { allObjects, type Template } from "../../../core/scene/template.ts";
import type { RoomData } from "../../api/loaded.ts";
import type { Known } from "./properties/known.ts";

/** What a word of this template can name, but for what the chosen object decides. */
export function useKnownHere(
  template: Template,
  style: HouseStyle,
  fieldSet: FieldSet | undefined,
  data: RoomData,
): Omit<Known, "makeField" | "mediaField"> {
  return useMemo(() => {
    const named = (names: readonly string[]) => names.map((name) => ({ name, title: name }));
    return {
      field: [
        ...(fieldSet?.fields ?? []).map(({ name, label }) => ({ name, title: label })),
        ...named(fieldSet?.made ?? []),
      ],
      object: allObjects(template).map(({ object }) => ({
        name: object.id,
        title: object.editing.name || object.id,
      })),
      color: named(Object.keys(style.colors)),
      measure: named(Object.keys(style.numbers)),
      shadow: named(Object.keys(style.shadows ?? {})),
      typeface: named(Object.keys(style.fonts)),
      media: data.media.map(({ hash, info }) => ({ name: hash, title: info.name })),
      colors: style.colors,
    };
  }, [template, style, fieldSet, data.media]);
}
