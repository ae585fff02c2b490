import { z } from "zod";

/** When a link ends by itself, server time in ms; null: when somebody ends it. */
export const linkEndSchema = z.number().int().min(0).nullable().default(null);

const HOUR_MS = 3_600_000;

/** How long a link may last; "" is until somebody ends it. */
export const LINK_LENGTHS = [
  { hours: 4, name: "4 hours" },
  { hours: 24, name: "24 hours" },
  { hours: 168, name: "a week" },
] as const;

export const endAfter = (hours: number, nowMs: number): number => Math.round(nowMs + hours * HOUR_MS);

/** Whether a link that says so has ended. */
export const hasEnded = ({ untilMs }: { readonly untilMs: number | null }, nowMs: number): boolean =>
  untilMs !== null && nowMs >= untilMs;
