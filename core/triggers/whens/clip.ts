import { z } from "zod";
import { timesAtPlace } from "../../clips/clipPlay.ts";
import { t } from "../../language/t.ts";
import { nameSchema } from "../../names/name.ts";
import type { Happening } from "../happening.ts";
import type { WhenKind } from "./whenKind.ts";

const schema = z.strictObject({
  kind: z.literal("clip"),
  /** Empty: any. */
  clipId: z.union([nameSchema(60), z.literal("")]).default(""),
  does: z.enum(["starts", "in", "before", "ends"]).default("starts"),
  /** So long in, or before its end. */
  ms: z.number().int().min(0).max(86_400_000).default(10_000),
});
type When = z.infer<typeof schema>;

const isOf = (when: When, clipId: string): boolean => when.clipId === "" || when.clipId === clipId;

/** When a clip came to the place that is waited for, server times; none where it did not in this. */
export function clipTimesThatCame(when: When, happening: Happening): number[] {
  if (happening.kind !== "clipTime" || !isOf(when, happening.play.clipId)) return [];
  const { play, sinceMs, untilMs } = happening;
  if (when.does === "in") return timesAtPlace(play, when.ms, sinceMs, untilMs);
  if (when.does === "before") return timesAtPlace(play, play.lengthMs - when.ms, sinceMs, untilMs);
  return [];
}

export const clipWhen: WhenKind<When> = {
  schema,
  name: t`a clip starts, runs or ends`,
  sets: (when, happening) =>
    happening.kind === "clip"
      ? isOf(when, happening.clipId) && when.does === (happening.isOn ? "starts" : "ends")
      : clipTimesThatCame(when, happening).length > 0,
  ends: (when, happening) =>
    happening.kind === "clip" && isOf(when, happening.clipId) && happening.isOn === (when.does === "ends"),
  endSays: ({ does }) => (does === "ends" ? t`a clip starts again` : t`the clip ends`),
  says: ({ clipId, does, ms }, names) => {
    const clip = clipId === "" ? "a clip" : t`the clip “${names.clip(clipId)}”`;
    const seconds = `${Math.round(ms / 100) / 10} s`;
    switch (does) {
      case "starts":
        return t`${clip} starts`;
      case "in":
        return t`${clip} is ${seconds} in`;
      case "before":
        return t`${clip} is ${seconds} before its end`;
      case "ends":
        return t`${clip} ends`;
    }
  },
};
