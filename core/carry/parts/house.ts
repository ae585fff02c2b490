import { z } from "zod";
import { keyMapSchema } from "../../keys/keyMap.ts";
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
  name: "its name",
  place: "its place",
  timeZone: "its time zone",
  licence: "its licence number",
  language: "the language of dates",
  room: "the room",
  keys: "the keys",
  limits: "the limits of the check",
  styleHash: "the house style that is worn",
  follow: "the limits of triggers",
  comments: "where comments come from",
} as const;
const TOLD_KEYS = Object.keys(TOLD) as (keyof typeof TOLD)[];

/** What is set for all evenings. */
export const housePart: Part<CarriedHouse> = {
  one: "set of the venue’s settings",
  many: "the venue’s settings",
  schema,
  nameOf: ({ name }) => `Settings of ${name}`,
  aboutOf: ({ place }) => place,
  essenceOf: (house) => TOLD_KEYS.map((key) => house[key]),
  differences: (here, there) =>
    TOLD_KEYS.filter((key) => JSON.stringify(here[key]) !== JSON.stringify(there[key])).map((key) =>
      `${TOLD[key]} ${typeof there[key] === "string" && there[key] !== "" && key !== "styleHash" ? `(“${there[key]}” there)` : ""}`.trim(),
    ),
};
