import { templateToV2 } from "../../scene/readForward.ts";
import { type Template, templateSchema } from "../../scene/template.ts";
import type { StoredKind } from "../storedKind.ts";

export const templateKind: StoredKind<Template> = {
  name: "template",
  schema: templateSchema,
  steps: [templateToV2],
};
