import { z } from "zod";
import { nameSchema } from "../../../names/name.ts";
import { onAnyCue } from "../onAnyCue.ts";

/** A press that brings no page: it takes layers off, changes the plan, shows black or the stand-by, or only waits. */
export const actionDocSchema = z.strictObject({
  kind: z.literal("action"),
  title: z.string().max(200),
  /** Layers it takes off. */
  clear: z.array(nameSchema(40)).max(40).default([]),
  /** What all screens show in place of their picture; "back": their picture again. */
  shutter: z.enum(["black", "standBy", "back"]).nullable().default(null),
  ...onAnyCue,
});

export type ActionDoc = z.infer<typeof actionDocSchema>;

export const actionCue = (fields: Partial<ActionDoc>): ActionDoc =>
  actionDocSchema.parse({ title: "", ...fields, kind: "action" });
