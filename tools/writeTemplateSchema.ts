import { writeFileSync } from "node:fs";
import { TEMPLATE_SCHEMA_FILE, templateJsonSchema } from "./templateJsonSchema.ts";

/** Writes the JSON Schema of the template format anew: `npm run schema`. */
writeFileSync(TEMPLATE_SCHEMA_FILE, templateJsonSchema());
