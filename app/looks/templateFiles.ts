import type { Template } from "../../core/scene/template.ts";
import { deskHeaders } from "../ui/deskHeaders.ts";

export type Brought =
  | { readonly name: string; readonly problems: readonly string[] }
  | { readonly problem: string };

/** Sends a template file to an outfit. */
export async function bringTemplate(outfitId: string, file: File): Promise<Brought> {
  try {
    const response = await fetch("/bring-template", {
      method: "POST",
      headers: { "Content-Type": "application/json", ...deskHeaders() },
      body: JSON.stringify({ outfitId, json: await file.text() }),
    });
    return (await response.json()) as Brought;
  } catch {
    return { problem: "The file could not be sent: the server cannot be reached. Nothing was changed." };
  }
}

/** A template as a file in the open format. */
export const templateFile = (template: Template): { readonly name: string; readonly address: string } => ({
  name: `${template.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.template.json`,
  address: `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(template, null, 1))}`,
});
