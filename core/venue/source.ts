import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";

/** Invented scenes that a stand-in camera shows: they move, and carry their name and a count of frames. */
export const TEST_SCENES = ["lectern", "singers", "room", "quay"] as const;
export type TestScene = (typeof TEST_SCENES)[number];

/** Inputs of a mixer, and displays that tally speaks of. */
const MOST_INPUTS = 65_534;

/** What a source shows where its real picture does not come in by itself. */
export const sourcePictureSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("scene"), scene: z.enum(TEST_SCENES) }),
  /** A clip or a picture of the library. */
  z.strictObject({ kind: z.literal("media"), mediaId: nameSchema(60) }),
  /** A camera of whichever machine an output runs on; which one is chosen there. */
  z.strictObject({ kind: z.literal("camera") }),
  /** The clip that the player plays. */
  z.strictObject({ kind: z.literal("player") }),
  /** A screen of this show that goes into the mixer: its tally says whether that screen is on program. */
  z.strictObject({ kind: z.literal("screen"), outputId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("bars") }),
  z.strictObject({ kind: z.literal("black") }),
]);
export type SourcePicture = z.infer<typeof sourcePictureSchema>;

/** A source of pictures of the venue, such as one camera: named once. */
export const sourceSchema = z.strictObject({
  id: nameSchema(60),
  name: z.string().trim().min(1).max(40),
  /** The number of its input at the mixer, as tally and messages have it; null: only set by hand. */
  input: z.number().int().min(0).max(MOST_INPUTS).nullable().default(null),
  /** Who is usually there, for people to read. */
  who: z.string().max(120).default(""),
  picture: sourcePictureSchema.default({ kind: "black" }),
});
export type Source = z.infer<typeof sourceSchema>;

/** Sources of a venue. */
export const MOST_SOURCES = 64;

/** What a mixer has on air, and what it would bring next. */
export const BUSES = ["program", "preview"] as const;
export type Bus = (typeof BUSES)[number];
export const BUS_WORDS: Readonly<Record<Bus, string>> = { program: t`program`, preview: t`preview` };

/** Which sources are on each bus, in the order in which they came. */
export const onBusesSchema = z.strictObject({
  program: z.array(nameSchema(60)).max(MOST_SOURCES),
  preview: z.array(nameSchema(60)).max(MOST_SOURCES),
});
export type OnBuses = z.infer<typeof onBusesSchema>;

/** Which bus a screen of this show is on at the mixer, by the sources that are that screen; null: none, or nothing is known. */
export function busOfScreen(sources: readonly Source[], on: OnBuses, outputId: string): Bus | null {
  const ids = sources.flatMap(({ id, picture }) =>
    picture.kind === "screen" && picture.outputId === outputId ? [id] : [],
  );
  return BUSES.find((bus) => ids.some((id) => on[bus].includes(id))) ?? null;
}

/** The buses with a bus set to these sources: those that were there keep their places, others come after them. */
export function withBus(on: OnBuses, bus: Bus, sourceIds: readonly string[]): OnBuses {
  const stays = on[bus].filter((id) => sourceIds.includes(id));
  const next = [...stays, ...new Set(sourceIds.filter((id) => !stays.includes(id)))];
  const isSame = next.length === on[bus].length && next.every((id, index) => id === on[bus][index]);
  return isSame ? on : { ...on, [bus]: next };
}
