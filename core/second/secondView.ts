import { z } from "zod";

/** How a second machine does, as the first one knows it. Times are server time. */
export type SecondView =
  /** None has come since the show was opened. */
  | { readonly kind: "none" }
  | {
      readonly kind: "follows";
      /** By which windows reach it. */
      readonly address: string;
      readonly sinceMs: number;
      readonly heardAtMs: number;
      readonly word: SecondWord;
    }
  | { readonly kind: "lost"; readonly address: string; readonly sinceMs: number };

/** What a second machine says of itself, every other second. */
export const secondWordSchema = z.strictObject({
  /** It has all of the show and could lead. */
  isReady: z.enum(["true", "false"]).transform((said) => said === "true"),
  /** Pictures, clips and fonts that it has yet to fetch. */
  filesLeft: z.coerce.number().int().min(0),
});
export type SecondWord = z.infer<typeof secondWordSchema>;

/** What a machine that follows says of itself, at its own address. */
export type FollowerState =
  /** It has nothing yet with which it could lead. */
  | { readonly kind: "copying"; readonly bytes: number; readonly ofBytes: number }
  | { readonly kind: "ready"; readonly show: string; readonly heardMsAgo: number; readonly filesLeft: number }
  /** The first machine is not heard; this one has the show up to then. */
  | {
      readonly kind: "lost";
      readonly show: string | null;
      readonly heardMsAgo: number | null;
      readonly why: string;
      readonly filesLeft: number;
    };

/** What a window is told: where it finds the show if this server is gone. */
export interface SecondTold {
  /** Null: nowhere. */
  readonly address: string | null;
  /** The second machine's own page, with its secret; for desks alone. */
  readonly page: string | null;
}

/** The path under which a second machine's own page stands, and the first one's doors for it. */
export const secondPath = (token: string): string => `/second/${token}`;
