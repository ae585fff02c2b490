import { type Template, templateSchema } from "../../core/scene/template.ts";
import { MADE } from "./made.ts";

const templates: readonly Template[] = MADE.map(({ template }) => templateSchema.parse(template));

/** On a canvas of 1920 by 1080, for screens that show everything. */
export const MADE_FOR_WALLS = templates;
/** The same, for screens that show what lies over a camera: but for the roll, which they have not. */
export const MADE_OVER_PICTURES = templates.filter(({ fieldSet }) => fieldSet !== "roll");
