import { type FieldSet, fieldSetSchema } from "../../core/scene/fieldSet.ts";
import agenda from "./agenda.json" with { type: "json" };
import bigNumber from "./bigNumber.json" with { type: "json" };
import pictureCaptions from "./pictureCaptions.json" with { type: "json" };
import pictureStrap from "./pictureStrap.json" with { type: "json" };
import quotation from "./quotation.json" with { type: "json" };
import score from "./score.json" with { type: "json" };
import thankYouRoll from "./thankYouRoll.json" with { type: "json" };
import twoNames from "./twoNames.json" with { type: "json" };

/** Templates that were made in the design room, each with the fields that it is for where no other template has them. */
export const MADE = [
  pictureStrap,
  twoNames,
  quotation,
  agenda,
  score,
  pictureCaptions,
  bigNumber,
  thankYouRoll,
];

export const MADE_FIELD_SETS: readonly FieldSet[] = MADE.flatMap(({ fields }) =>
  fields === null ? [] : [fieldSetSchema.parse(fields)],
);
