import { z } from "zod";
import { type ClipDoes, clipDoesSchema } from "../clips/clipCommand.ts";
import { t } from "../language/t.ts";
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
      return t`play the clip “${names.clip(does.clipId)}”`;
    case "pause":
      return t`pause the clip`;
    case "goOn":
      return t`let the clip go on`;
    case "next":
      return t`play the next clip`;
    case "stop":
      return t`stop the clip`;
  }
}

/** As a part of a sentence. */
export function sayAct(act: TriggerAct, names: TriggerNames): string {
  switch (act.kind) {
    case "take":
      return `${act.how === "cut" ? t`cut to` : t`take`} “${names.cue(act.cueId)}”`;
    case "arm":
      return t`arm “${names.cue(act.cueId)}”`;
    case "out":
      return t`take ${names.layer(act.layerId)} out`;
    case "plan":
      return t`switch to the plan “${names.plan(act.planId)}”`;
    case "nextRow":
      return t`put the next row into “${names.cue(act.cueId)}”`;
    case "countdown":
      return t`start the countdown of “${names.cue(act.cueId)}”`;
    case "clip":
      return sayClipDoes(act.does, names);
    case "message":
      return t`send ${[act.address, ...act.args].join(" ")} by OSC`;
  }
}
