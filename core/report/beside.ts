import { z } from "zod";
import { t } from "../language/t.ts";

/** What is written down beside the log of the air: what went wrong, and figures over time. */
export const BESIDE_KINDS = {
  /** The server began: from then on all of this is written down. */
  began: t`starts of the server`,
  /** A press that the server refused. About: who pressed. */
  refused: t`refused presses`,
  /** A screen that was not heard for `amount` ms in a minute. About: its id. */
  late: t`late screens`,
  /** A screen that missed `amount` frames in a minute. About: its id. */
  missed: t`missed frames`,
  /** A feed that broke. */
  feed: t`broken feeds`,
  /** The server stood still for `amount` ms. */
  stall: t`times the server stood still`,
  /** A number that filled a page from a feed. About: the page's title and the field. */
  value: t`values of feeds`,
} as const;
export type BesideKind = keyof typeof BESIDE_KINDS;

export const besideSchema = z.strictObject({
  /** Server time, ms. */
  atMs: z.number(),
  kind: z.enum(Object.keys(BESIDE_KINDS) as [BesideKind, ...BesideKind[]]),
  about: z.string().max(200),
  amount: z.number().nullable(),
  words: z.string().max(600),
});
export type Beside = z.infer<typeof besideSchema>;
