import { z } from "zod";
import { keyMapSchema } from "../../keys/keyMap.ts";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import { commentSettingsKind } from "../../stored/kinds/commentSettings.ts";
import { followSettingsKind } from "../../stored/kinds/followSettings.ts";
import { planKind } from "../../stored/kinds/plan.ts";
import { setLimitsSchema } from "../../venue/checkLimits.ts";
import { layerSchema, venueSchema } from "../../venue/plan.ts";
import type { Part } from "../part.ts";
import { storedDoc } from "../storedDoc.ts";

const hash = z.string().regex(/^[0-9a-f]{64}$/);

const schema = z.strictObject({
  id: z.literal("house"),
  name: z.string().min(1).max(120),
  place: z.string().max(200),
  timeZone: z.string().min(1).max(80),
  /** The venue's licence number for showing songs. */
  licence: z.string().max(200),
  language: z.string().max(40),
  room: venueSchema.nullable(),
  keys: keyMapSchema,
  limits: setLimitsSchema,
  /** The house style that is worn: its version among the documents, and its id. */
  styleHash: hash,
  styleId: z.string().max(80),
  follow: storedDoc(followSettingsKind).nullable(),
  comments: storedDoc(commentSettingsKind).nullable(),
  /** As a show that is made of this file opens. */
  layers: z.array(layerSchema).min(1).max(40),
  plan: storedDoc(planKind),
  openEvening: nameSchema(60),
});
export type CarriedHouse = z.infer<typeof schema>;

const TOLD = {
  name: t`its name`,
  place: t`its place`,
  timeZone: t`its time zone`,
  licence: t`its licence number`,
  language: t`the language of dates`,
  room: t`the room`,
  keys: t`the keys`,
  limits: t`the limits of the check`,
  styleHash: t`the house style that is worn`,
  follow: t`the limits of triggers`,
  comments: t`where comments come from`,
} as const;
const TOLD_KEYS = Object.keys(TOLD) as (keyof typeof TOLD)[];

/** What is set for all evenings. */
export const housePart: Part<CarriedHouse> = {
  one: t`set of the venue’s settings`,
  many: t`the venue’s settings`,
  schema,
  nameOf: ({ name }) => t`Settings of ${name}`,
  aboutOf: ({ place }) => place,
  essenceOf: (house) => TOLD_KEYS.map((key) => house[key]),
  differences: (here, there) =>
    TOLD_KEYS.filter((key) => JSON.stringify(here[key]) !== JSON.stringify(there[key])).map((key) =>
      `${TOLD[key]} ${typeof there[key] === "string" && there[key] !== "" && key !== "styleHash" ? `(“${there[key]}” there)` : ""}`.trim(),
    ),
};
