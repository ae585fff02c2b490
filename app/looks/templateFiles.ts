import type { Template } from "../../core/scene/template.ts";
import { postJson } from "../ui/postJson.ts";

export type Brought =
  | { readonly name: string; readonly problems: readonly string[] }
  | { readonly problem: string };

/** Sends a template file to an outfit. */
export async function bringTemplate(outfitId: string, file: File): Promise<Brought> {
  const answer = await postJson<Brought>("/bring-template", { outfitId, json: await file.text() });
  return (
    answer ?? { problem: "The file could not be sent: the server cannot be reached. Nothing was changed." }
  );
}

/** A template as a file in the open format. */
export const templateFile = (template: Template): { readonly name: string; readonly address: string } => ({
  name: `${template.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.template.json`,
  address: `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(template, null, 1))}`,
});
