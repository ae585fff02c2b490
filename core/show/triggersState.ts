import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { LONGEST_TRIGGER_ID } from "../triggers/trigger.ts";
import { onBusesSchema } from "../venue/source.ts";

/** A trigger may be set off by what another did: so long a chain, and no longer. */
export const LONGEST_CHAIN = 6;
export const triggerIdSchema = nameSchema(LONGEST_TRIGGER_ID);
/** The triggers that led to something, the first of them first. */
export const chainSchema = z.array(triggerIdSchema).max(LONGEST_CHAIN);

/** What the mixer has on program and preview, and since when each source is there. */
export const sourcesStateSchema = z.strictObject({
  ...onBusesSchema.shape,
  /** Bus and source ("program/cam1") → server time. */
  sinceMs: byNameSchema(z.number(), 80),
});
export type SourcesState = z.infer<typeof sourcesStateSchema>;
export const NO_SOURCES: SourcesState = { program: [], preview: [], sinceMs: {} };

/** What is known of triggers between two happenings. */
export const triggersStateSchema = z.strictObject({
  /** Nothing comes of any trigger until they are let go again. */
  areStopped: z.boolean(),
  /** Layers that a person keeps triggers off. */
  heldLayers: z.array(nameSchema(40)).max(40),
  /** Trigger → what it has brought, which may leave with what set it off. */
  put: byNameSchema(
    z.strictObject({
      cueId: nameSchema(60),
      layerId: nameSchema(40),
      chain: chainSchema,
      /** The last event of it: what was done to the layer since is not its. */
      seq: z.number().int().min(0),
    }),
  ),
  /** When triggers did something in the last second, server time. */
  actedAtMs: z.array(z.number()).max(100),
});
export type TriggersState = z.infer<typeof triggersStateSchema>;
export const NO_TRIGGERS: TriggersState = { areStopped: false, heldLayers: [], put: {}, actedAtMs: [] };

/** Why a trigger did nothing that it was to do. */
export const WHY_TRIGGER_HELD = ["layerHeld", "hand", "tooMany", "loop", "gone", "late"] as const;
export type WhyTriggerHeld = (typeof WHY_TRIGGER_HELD)[number];
