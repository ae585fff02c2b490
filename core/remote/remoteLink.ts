import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { linkEndSchema } from "../time/linkEnd.ts";

/** What a phone may do: only look; bring what is next, or arm the step before; or also take off what is on air. */
export const REMOTE_RIGHTS = ["look", "next", "all"] as const;
export type RemoteRight = (typeof REMOTE_RIGHTS)[number];

/** What it shows large: what is on air and next alike; the next words; or all words of the cue, as they pass. */
export const REMOTE_VIEWS = ["both", "next", "follow"] as const;

/** A link by which a phone is a remote: for whoever runs the evening away from the desk, leads it, or stands on the stage. */
export const remoteLinkSchema = z.strictObject({
  /** Who has it: so desks and the log call what comes from there. */
  name: z.string().trim().min(1).max(40),
  can: z.enum(REMOTE_RIGHTS),
  view: z.enum(REMOTE_VIEWS).default("both"),
  /** A take is held for half a second. */
  isHeld: z.boolean().default(false),
  /** The screen whose picture it shows; empty: the first. */
  outputId: z.union([nameSchema(60), z.literal("")]).default(""),
  untilMs: linkEndSchema,
});
export type RemoteLink = z.infer<typeof remoteLinkSchema>;

/** What a phone presses. */
export const REMOTE_PRESSES = ["take", "back", "out"] as const;
export type RemotePress = (typeof REMOTE_PRESSES)[number];

const MAY: Readonly<Record<RemoteRight, readonly RemotePress[]>> = {
  look: [],
  next: ["take", "back"],
  all: ["take", "back", "out"],
};
export const mayPress = ({ can }: Pick<RemoteLink, "can">, press: RemotePress): boolean =>
  MAY[can].includes(press);

/** A press that is on its way for longer is dropped: whoever pressed has looked elsewhere by then. */
export const LATEST_PRESS_MS = 1_000;

/** The screen whose picture a phone shows: the one that was chosen, while it is there. */
export const screenOfRemote = <T extends { readonly id: string }>(
  { outputId }: Pick<RemoteLink, "outputId">,
  outputs: readonly T[],
): T | undefined => outputs.find(({ id }) => id === outputId) ?? outputs[0];
