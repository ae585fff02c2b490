import type { FieldSet } from "../scene/fieldSet.ts";
import { songOf } from "../words/songFields.ts";
import type { CueDoc } from "./cueDoc.ts";

/**
 * A cue without what belongs to one day: its words, its reading, its song, its notes and what was moved for them. Its kind,
 * looks, screens and times stay, so that it only has to be filled.
 */
export function emptied(doc: CueDoc, fieldSets: ReadonlyMap<string, FieldSet>): CueDoc {
  const bare = { ...doc, note: "", stageNote: "", adjust: {}, whole: null, stepPlans: [], isOfTheDay: true };
  switch (bare.kind) {
    case "page": {
      const colors = fieldSets.get(bare.fieldSet)?.fields.filter(({ kind }) => kind === "color") ?? [];
      const values = Object.fromEntries(
        colors.flatMap(({ name }) => (bare.values[name] ? [[name, bare.values[name]]] : [])),
      );
      return { ...bare, values };
    }
    case "song":
      return { ...bare, ...songOf("", ""), lines: bare.lines, source: null };
    case "reading":
      return { ...bare, reference: "", cuts: [] };
    case "remark":
      return { ...bare, text: "" };
    case "action":
      return bare;
  }
}
