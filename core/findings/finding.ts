import { z } from "zod";

/**
 * How much it matters. "fault": it cannot be shown or taken as it is; "warning": people in the room will see it; "note": good to
 * know.
 */
export const SEVERITIES = ["fault", "warning", "note"] as const;

export const subjectSchema = z.strictObject({
  kind: z.enum(["object", "page", "cue", "song", "reading", "text", "screen", "feed", "evening", "trigger"]),
  /** Its name among its kind; empty where there is only one it could be. */
  id: z.string().max(400),
});
export type Subject = z.infer<typeof subjectSchema>;

/** Something that was found about a page, a cue or a text, and what people are told of it. */
export const findingSchema = z.strictObject({
  /** The same for every finding of its kind: one of `FINDING_KINDS`. */
  code: z.string().max(40),
  severity: z.enum(SEVERITIES),
  subject: subjectSchema,
  /** Where in its subject: a field, a line; null: all of it. */
  place: z.string().max(200).nullable(),
  figures: z.record(z.string(), z.union([z.string(), z.number()])),
  /** What is wrong, what is still fine, what to do. */
  sentence: z.string().max(1_000),
});
export type Finding = z.infer<typeof findingSchema>;

type Figures = Readonly<Record<string, string | number>>;

/** A kind of finding: makes one of what was found. */
export interface FindingKind<F extends Figures> {
  readonly code: string;
  readonly severity: Finding["severity"];
  (subject: Subject, figures: F, place?: string): Finding;
}

/** @param sentence what people are told, from what it is about and its figures */
export function defineFinding<F extends Figures>(
  code: string,
  severity: Finding["severity"],
  sentence: (figures: F, subject: Subject, place: string | null) => string,
): FindingKind<F> {
  const make = (subject: Subject, figures: F, place: string | null = null): Finding => ({
    code,
    severity,
    subject,
    place,
    figures,
    sentence: sentence(figures, subject, place),
  });
  return Object.assign(make, { code, severity });
}

export const objectSubject = (id: string): Subject => ({ kind: "object", id });
export const cueSubject = (id: string): Subject => ({ kind: "cue", id });
