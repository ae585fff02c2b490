import { join } from "node:path";
import { z } from "zod";
import { templateSchema } from "../core/scene/template.ts";

export const TEMPLATE_SCHEMA_FILE = join(import.meta.dirname, "../docs/formats/template.schema.json");

/** The template format as JSON Schema (draft 2020-12), as it may be written: what has a usual value may be left out. */
export function templateJsonSchema(): string {
  const schema = z.toJSONSchema(templateSchema, { io: "input", reused: "ref" });
  return `${JSON.stringify({ title: "Template, version 2", ...schema }, null, 1)}\n`;
}
