import { type FieldSet, fieldSetSchema } from "../../core/scene/fieldSet.ts";
import { type Template, templateSchema } from "../../core/scene/template.ts";
import agenda from "./agenda.json" with { type: "json" };
import bigNumber from "./bigNumber.json" with { type: "json" };
import pictureCaptions from "./pictureCaptions.json" with { type: "json" };
import pictureStrap from "./pictureStrap.json" with { type: "json" };
import quotation from "./quotation.json" with { type: "json" };
import score from "./score.json" with { type: "json" };
import thankYouRoll from "./thankYouRoll.json" with { type: "json" };
import twoNames from "./twoNames.json" with { type: "json" };

/** Templates that were made in the design room, each with the fields that it is for where no other template has them. */
const MADE = [pictureStrap, twoNames, quotation, agenda, score, pictureCaptions, bigNumber, thankYouRoll];

export const MADE_FIELD_SETS: readonly FieldSet[] = MADE.flatMap(({ fields }) =>
  fields === null ? [] : [fieldSetSchema.parse(fields)],
);

const templates: readonly Template[] = MADE.map(({ template }) => templateSchema.parse(template));

/** On a canvas of 1920 by 1080, for screens that show everything. */
export const MADE_FOR_WALLS = templates;
/** The same, for screens that show what lies over a camera: but for the roll, which they have not. */
export const MADE_OVER_PICTURES = templates.filter(({ fieldSet }) => fieldSet !== "roll");
