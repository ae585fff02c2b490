import type { Template } from "../../core/scene/template.ts";
import { findTooLargeFile } from "../../core/scene/templateLimits.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { type Answered, send } from "../api/call.ts";

export interface Brought {
  readonly name: string;
  /** What could not be read in it. */
  readonly problems: readonly string[];
}

/** Sends a template file to an outfit. @param replaces key of the template in whose place it comes */
export async function bringTemplate(
  outfitId: string,
  file: File,
  replaces: string | null = null,
): Promise<Answered<Brought>> {
  const tooLarge = findTooLargeFile(file.size);
  if (tooLarge) return problemOf("tooLarge", tooLarge);
  const address = `/bring-template?${new URLSearchParams({ outfit: outfitId, ...(replaces !== null && { replaces }) })}`;
  return send<Brought>(address, file);
}

/** A template as a file in the open format. */
export const templateFile = (template: Template): { readonly name: string; readonly address: string } => ({
  name: `${template.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}.template.json`,
  address: `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(template, null, 1))}`,
});
