import { writeFileSync } from "node:fs";
import { SHOW_FILE_SCHEMA_FILE, showFileJsonSchema } from "./showFileJsonSchema.ts";
import { TEMPLATE_SCHEMA_FILE, templateJsonSchema } from "./templateJsonSchema.ts";

/** Writes the JSON Schemas of the formats anew: `npm run schema`. */
writeFileSync(TEMPLATE_SCHEMA_FILE, templateJsonSchema());
writeFileSync(SHOW_FILE_SCHEMA_FILE, showFileJsonSchema());
