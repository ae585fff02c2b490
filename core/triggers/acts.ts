import { z } from "zod";
import { type ClipDoes, clipDoesSchema } from "../clips/clipCommand.ts";
import { nameSchema } from "../names/name.ts";
import type { TriggerNames } from "./triggerNames.ts";
import { oscAddressSchema } from "./whens/message.ts";

const cueId = nameSchema(60);

/** What a trigger does. */
export const triggerActSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("take"),
    cueId,
    /** As its layer has it, or at once. */
    how: z.enum(["usual", "cut"]).default("usual"),
  }),
  z.strictObject({ kind: z.literal("arm"), cueId }),
  z.strictObject({ kind: z.literal("out"), layerId: nameSchema(40) }),
  z.strictObject({ kind: z.literal("plan"), planId: nameSchema(60) }),
  /** The page goes on to the next row of its feed. */
  z.strictObject({ kind: z.literal("nextRow"), cueId }),
  /** The countdown of a cue begins from its start, on air already or not. */
  z.strictObject({ kind: z.literal("countdown"), cueId }),
  /** Something is done to the player. */
  z.strictObject({ kind: z.literal("clip"), does: clipDoesSchema }),
  z.strictObject({
    kind: z.literal("message"),
    address: oscAddressSchema,
    args: z
      .array(z.union([z.string().max(200), z.number().finite()]))
      .max(8)
      .default([]),
  }),
]);
export type TriggerAct = z.infer<typeof triggerActSchema>;

/** Acts that bring a page, which may stay for a time and leave. */
export const bringsPage = (act: TriggerAct): act is Extract<TriggerAct, { kind: "take" | "countdown" }> =>
  act.kind === "take" || act.kind === "countdown";

function sayClipDoes(does: ClipDoes, names: TriggerNames): string {
  switch (does.kind) {
    case "play":
      return `play the clip “${names.clip(does.clipId)}”`;
    case "pause":
      return "pause the clip";
    case "goOn":
      return "let the clip go on";
    case "next":
      return "play the next clip";
    case "stop":
      return "stop the clip";
  }
}

/** As a part of a sentence. */
export function sayAct(act: TriggerAct, names: TriggerNames): string {
  switch (act.kind) {
    case "take":
      return `${act.how === "cut" ? "cut to" : "take"} “${names.cue(act.cueId)}”`;
    case "arm":
      return `arm “${names.cue(act.cueId)}”`;
    case "out":
      return `take ${names.layer(act.layerId)} out`;
    case "plan":
      return `switch to the plan “${names.plan(act.planId)}”`;
    case "nextRow":
      return `put the next row into “${names.cue(act.cueId)}”`;
    case "countdown":
      return `start the countdown of “${names.cue(act.cueId)}”`;
    case "clip":
      return sayClipDoes(act.does, names);
    case "message":
      return `send ${[act.address, ...act.args].join(" ")} by OSC`;
  }
}
